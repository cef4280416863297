<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * A day as it was taken. Written down once; what comes later is added and does not change it.
 *
 * @property int $id
 * @property int $user_id
 * @property string $date Y-m-d, the person's local day
 * @property CarbonImmutable $taken_at UTC
 * @property string $how proposal, laid_out or hours: by which it was taken
 * @property list<array{task: int, title: string, minutes: int, times: list<array{int, int}>, key: bool, due: bool}> $tasks times in minutes since 1970-01-01T00:00Z, none where it was picked without one; due: by the end of that day
 */
final class Promise extends Model
{
    use WakesQuickly;

    public $timestamps = false;

    protected $fillable = ['date', 'taken_at', 'how', 'tasks'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['taken_at' => 'immutable_datetime', 'tasks' => 'array'];
    }
}
