<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * What happened to a task.
 *
 * @property int $id
 * @property int $user_id
 * @property int $task_id
 * @property string $what
 * @property array<string, int|string|bool|null> $facts
 * @property CarbonImmutable $at UTC
 */
final class TaskEvent extends Model
{
    use WakesQuickly;

    public $timestamps = false;

    protected $fillable = ['user_id', 'what', 'facts', 'at'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['facts' => 'array', 'at' => 'immutable_datetime'];
    }
}
