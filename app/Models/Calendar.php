<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Attributes\Scope;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * Meetings from one place, and how planning takes them.
 *
 * @property int $id
 * @property int $user_id
 * @property int|null $group_id
 * @property CalendarKind $kind
 * @property string $name
 * @property bool $named by the person: what the calendar calls itself changes it no more
 * @property int $hatching 1 to 5
 * @property int $position
 * @property bool $shown
 * @property CalendarBlocks $blocks
 * @property bool $whole_days its whole days take the day
 * @property int|null $buffer_before minutes; null: as the person has it
 * @property int|null $buffer_after minutes; null: as the person has it
 * @property int $travel minutes to get to where a meeting has a place
 * @property string|null $file_name
 * @property string|null $address encrypted where it is stored: who knows it reads the calendar
 * @property string|null $etag of the last good answer
 * @property string|null $modified likewise
 * @property string|null $digest of what was taken last
 * @property int|null $every minutes between two looks, as the calendar itself wishes
 * @property CarbonImmutable|null $fetched_at UTC, the last good answer or the file
 * @property CarbonImmutable|null $tried_at UTC
 * @property CarbonImmutable|null $next_at UTC
 * @property int $failures in a row
 * @property CarbonImmutable|null $failing_since UTC
 * @property string|null $why the last answer was no good one
 * @property CarbonImmutable|null $removed_at UTC
 * @property-read User $user
 */
final class Calendar extends Model
{
    use WakesQuickly;

    /** How many ways of hatching there are. */
    public const HATCHINGS = 5;

    protected $fillable = [
        'group_id', 'kind', 'name', 'named', 'hatching', 'position', 'shown', 'blocks', 'whole_days', 'buffer_before', 'buffer_after', 'travel', 'file_name', 'address',
        'etag', 'modified', 'digest', 'every', 'fetched_at', 'tried_at', 'next_at', 'failures', 'failing_since', 'why', 'removed_at',
    ];

    protected $attributes = [
        'group_id' => null, 'named' => false, 'hatching' => 1, 'position' => 0, 'shown' => true, 'blocks' => 'all', 'whole_days' => true, 'buffer_before' => null, 'buffer_after' => null, 'travel' => 0,
        'file_name' => null, 'address' => null, 'etag' => null, 'modified' => null, 'digest' => null, 'every' => null, 'fetched_at' => null, 'tried_at' => null,
        'next_at' => null, 'failures' => 0, 'failing_since' => null, 'why' => null, 'removed_at' => null,
    ];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return HasMany<Meeting, $this> */
    public function meetings(): HasMany
    {
        return $this->hasMany(Meeting::class);
    }

    /**
     * Those that were not removed.
     *
     * @param  Builder<self>  $query
     */
    #[Scope]
    protected function kept(Builder $query): void
    {
        $query->whereNull('removed_at');
    }

    /** The hatching that the fewest calendars of the person have. */
    public static function freeHatching(User $user): int
    {
        $used = array_count_values(array_map(intval(...), $user->calendars()->kept()->pluck('hatching')->all()));
        $free = range(1, self::HATCHINGS);
        usort($free, static fn (int $a, int $b): int => ($used[$a] ?? 0) <=> ($used[$b] ?? 0) ?: $a <=> $b);

        return $free[0];
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'kind' => CalendarKind::class, 'blocks' => CalendarBlocks::class, 'hatching' => 'integer', 'position' => 'integer', 'named' => 'boolean', 'shown' => 'boolean', 'whole_days' => 'boolean',
            'buffer_before' => 'integer', 'buffer_after' => 'integer', 'travel' => 'integer', 'address' => 'encrypted', 'every' => 'integer', 'failures' => 'integer',
            'fetched_at' => 'immutable_datetime', 'tried_at' => 'immutable_datetime', 'next_at' => 'immutable_datetime', 'failing_since' => 'immutable_datetime', 'removed_at' => 'immutable_datetime',
        ];
    }
}
