<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Attributes\Scope;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A meeting at its time.
 *
 * @property int $id
 * @property int $user_id
 * @property int $meeting_id
 * @property string $summary
 * @property string|null $place
 * @property CarbonImmutable $starts_at UTC
 * @property CarbonImmutable $ends_at UTC
 * @property bool $all_day
 * @property bool $busy by what its source says; see blocks()
 * @property string $instance of a series: which of its instances, by the start its rule gave, UTC; else empty
 * @property bool $tentative not sure, by its source or by the person's own answer
 * @property bool $private for others it has no name
 * @property Answer|null $answer the person's own; null: nobody asked
 * @property string|null $link to join it
 * @property-read Meeting $meeting
 */
final class Occurrence extends Model
{
    use WakesQuickly;

    public $timestamps = false;

    protected $fillable = ['user_id', 'summary', 'place', 'starts_at', 'ends_at', 'all_day', 'busy', 'instance', 'tentative', 'private', 'answer', 'link'];

    protected $attributes = ['all_day' => false, 'busy' => true, 'instance' => '', 'tentative' => false, 'private' => false, 'answer' => null, 'link' => null, 'place' => null];

    /** @return BelongsTo<Meeting, $this> */
    public function meeting(): BelongsTo
    {
        return $this->belongsTo(Meeting::class);
    }

    /** Meetings that are gone, and calendars that were removed, have none any more; what was held before stays. */
    protected static function booted(): void
    {
        self::addGlobalScope('there', static fn (Builder $query) => $query->whereRaw('exists (select 1 from meetings there join calendars its on its.id = there.calendar_id
            where there.id = occurrences.meeting_id and (there.gone_at is null or occurrences.ends_at <= there.gone_at) and (its.removed_at is null or occurrences.ends_at <= its.removed_at))'));
    }

    /**
     * Keeps its time from being planned: busy, not declined, of any length at all, not taken out of planning by the person,
     * and of a calendar that lets it.
     *
     * @param  Builder<self>  $query
     */
    #[Scope]
    protected function blocking(Builder $query): void
    {
        $query->where('occurrences.busy', true)->whereColumn('occurrences.ends_at', '>', 'occurrences.starts_at')
            ->whereRaw('occurrences.answer is not ?', [Answer::Declined->value])
            ->whereRaw("exists (select 1 from meetings m join calendars c on c.id = m.calendar_id where m.id = occurrences.meeting_id and m.ignored = 0
                and (c.blocks = 'all' or (c.blocks = 'sure' and occurrences.tentative = 0)) and (c.whole_days = 1 or occurrences.all_day = 0))");
    }

    /**
     * Blocking, and at a time of the day: nobody works on under it.
     *
     * @param  Builder<self>  $query
     */
    #[Scope]
    protected function interrupting(Builder $query): void
    {
        $this->blocking($query);
        $query->where('occurrences.all_day', false);
    }

    /** The same as the scope interrupting(). */
    public function interrupts(): bool
    {
        return ! $this->getAttributes()['all_day'] && $this->blocks();
    }

    /** The same as the scope blocking(), of a row that is at hand with its meeting and its calendar. */
    public function blocks(): bool
    {
        $stored = $this->getAttributes();
        $calendar = $this->meeting->calendar->getAttributes();

        return $stored['busy'] && $stored['ends_at'] > $stored['starts_at'] && ($stored['answer'] ?? null) !== Answer::Declined->value && ! $this->meeting->getAttributes()['ignored']
            && ($calendar['blocks'] === CalendarBlocks::All->value || ($calendar['blocks'] === CalendarBlocks::Sure->value && ! $stored['tentative']))
            && ($calendar['whole_days'] || ! $stored['all_day']);
    }

    /** True where it is drawn: hidden calendars are not. */
    public function isShown(): bool
    {
        return (bool) $this->meeting->calendar->getAttributes()['shown'];
    }

    /** Its name, as long as its calendar is shown; what blocks of a hidden one is only busy. */
    public function shownName(): string
    {
        return $this->isShown() ? $this->summary : __('calendars.hidden');
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'starts_at' => 'immutable_datetime',
            'ends_at' => 'immutable_datetime',
            'all_day' => 'boolean',
            'busy' => 'boolean',
            'tentative' => 'boolean',
            'private' => 'boolean',
            'answer' => Answer::class,
        ];
    }
}
