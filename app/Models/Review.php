<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * A week looked back upon, and how far that has come.
 *
 * @property int $id
 * @property int $user_id
 * @property string $week_on Y-m-d, the first day of the week it is about
 * @property int $step 1 to 7, the one it is at
 * @property int $place which of the areas, in the step about them
 * @property array<int, int> $caught lines by area id
 * @property list<int> $kept what was looked at for someday, and stays: tasks
 * @property string|null $note
 * @property array<string, mixed>|null $account its figures as they were when it was closed
 * @property CarbonImmutable $begun_at UTC
 * @property CarbonImmutable|null $closed_at UTC
 */
final class Review extends Model
{
    use WakesQuickly;

    public const STEPS = ['week', 'promises', 'slipped', 'areas', 'waiting', 'someday', 'next'];

    public $timestamps = false;

    protected $fillable = ['week_on', 'step', 'place', 'caught', 'kept', 'note', 'account', 'begun_at', 'closed_at'];

    protected $attributes = ['step' => 1, 'place' => 0, 'caught' => '{}', 'kept' => '[]', 'note' => null, 'account' => null, 'closed_at' => null];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['step' => 'integer', 'place' => 'integer', 'caught' => 'array', 'kept' => 'array', 'account' => 'array', 'begun_at' => 'immutable_datetime', 'closed_at' => 'immutable_datetime'];
    }
}
