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
 * @property bool $busy
 * @property-read Meeting $meeting
 */
final class Occurrence extends Model
{
    use WakesQuickly;

    public $timestamps = false;

    protected $fillable = ['user_id', 'summary', 'place', 'starts_at', 'ends_at', 'all_day', 'busy'];

    /** @return BelongsTo<Meeting, $this> */
    public function meeting(): BelongsTo
    {
        return $this->belongsTo(Meeting::class);
    }

    /**
     * Keeps its time from being planned: busy, not taken out of planning by the person, and with any length at all.
     *
     * @param  Builder<self>  $query
     */
    #[Scope]
    protected function blocking(Builder $query): void
    {
        $query->where('busy', true)->whereColumn('ends_at', '>', 'starts_at')->whereRelation('meeting', 'ignored', false);
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
        $query->where('all_day', false);
    }

    /** The same as the scope interrupting(). */
    public function interrupts(): bool
    {
        return ! $this->getAttributes()['all_day'] && $this->blocks();
    }

    /** The same as the scope blocking(), of a row that is at hand with its meeting. */
    public function blocks(): bool
    {
        $stored = $this->getAttributes();

        return $stored['busy'] && ! $this->meeting->getAttributes()['ignored'] && $stored['ends_at'] > $stored['starts_at'];
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'starts_at' => 'immutable_datetime',
            'ends_at' => 'immutable_datetime',
            'all_day' => 'boolean',
            'busy' => 'boolean',
        ];
    }
}
