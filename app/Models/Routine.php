<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Nekto\Core\Time\LocalDay;

/**
 * Time that is reserved on the same days of every week, with what is done in it.
 *
 * @property int $id
 * @property int $user_id
 * @property string $title
 * @property int $at minutes since local midnight
 * @property int $minutes
 * @property string $days mon to sun, with commas
 * @property string $from Y-m-d, its first day
 * @property string|null $until Y-m-d, its last day
 * @property bool $deep deep work may lie in it, and nothing else
 * @property list<array{title: string, minutes: int|null}> $parts
 * @property-read User $user
 */
final class Routine extends Model
{
    use WakesQuickly;

    public $timestamps = false;

    protected $fillable = ['title', 'at', 'minutes', 'days', 'from', 'until', 'deep', 'parts', 'position'];

    protected $attributes = ['until' => null, 'deep' => false, 'parts' => '[]', 'position' => 0];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return HasMany<RoutineDay, $this> */
    public function otherDays(): HasMany
    {
        return $this->hasMany(RoutineDay::class)->orderBy('date');
    }

    /** True on the days on which it is, by its rule. */
    public function isOn(LocalDay $day): bool
    {
        $date = $day->asString();

        return str_contains($this->days, $day->weekdayKey()) && $date >= $this->from && ($this->until === null || $date <= $this->until);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['at' => 'integer', 'minutes' => 'integer', 'deep' => 'boolean', 'parts' => 'array', 'position' => 'integer'];
    }
}
