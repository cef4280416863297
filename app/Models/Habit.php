<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Nekto\Core\Time\LocalDay;

/**
 * Something done so many times a week, at most once a day. Each of its times is a task of its week.
 *
 * @property int $id
 * @property int $user_id
 * @property int $area_id
 * @property int|null $goal_id that it moves
 * @property int|null $hours_set_id null: the area's
 * @property string $title
 * @property int $minutes of one time
 * @property int $times a week, 1 to 7
 * @property string|null $part of the day: morning, afternoon, evening
 * @property int|null $best_at minutes since local midnight: about then
 * @property string $from Y-m-d, its first day
 * @property string|null $until Y-m-d, its last day
 * @property int $position
 * @property-read Area $area
 * @property-read User $user
 */
final class Habit extends Model
{
    use WakesQuickly;

    public $timestamps = false;

    protected $fillable = ['area_id', 'goal_id', 'hours_set_id', 'title', 'minutes', 'times', 'part', 'best_at', 'from', 'until', 'position'];

    protected $attributes = ['goal_id' => null, 'hours_set_id' => null, 'part' => null, 'best_at' => null, 'until' => null, 'position' => 0];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<Area, $this> */
    public function area(): BelongsTo
    {
        return $this->belongsTo(Area::class);
    }

    /** @return HasMany<Task, $this> */
    public function tasks(): HasMany
    {
        return $this->hasMany(Task::class)->orderBy('id');
    }

    /** @return HasMany<Task, $this> its times of the week that a day lies in: seven days hold the beginning of just one */
    public function timesAround(LocalDay $day): HasMany
    {
        return $this->tasks()->whereBetween('occurs_on', [$day->plusDays(-6)->asString(), $day->asString()]);
    }

    /** The set of hours it is done in: its own, or its area's. */
    public function hoursSet(): int
    {
        return $this->hours_set_id ?? $this->area->hours_set_id;
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['minutes' => 'integer', 'times' => 'integer', 'best_at' => 'integer', 'hours_set_id' => 'integer'];
    }
}
