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
 * An event of a calendar, or a series of them.
 *
 * @property int $id
 * @property int $user_id
 * @property string $uid
 * @property string $summary
 * @property string $source iCalendar text
 * @property int|null $lead_minutes to get there; null = the usual buffer
 * @property bool $ignored
 * @property int $calendar_id
 * @property CarbonImmutable|null $gone_at UTC, since when it is no more at its source; what was held before stays held
 * @property bool $missing it was not in what came last
 * @property bool $messaged a message has changed it since it came from its source
 * @property string|null $organizer address
 * @property int $sequence how often it was changed, as its organizer counts
 * @property bool $invited the person is one of those who were asked
 * @property string|null $by_hand as the person wrote it down; null: it came from elsewhere
 * @property CarbonImmutable|null $expanded_until UTC; null = nothing more to come
 * @property-read Calendar $calendar
 */
final class Meeting extends Model
{
    use WakesQuickly;

    protected $fillable = ['calendar_id', 'uid', 'summary', 'source', 'lead_minutes', 'ignored', 'expanded_until', 'gone_at', 'missing', 'messaged', 'organizer', 'sequence', 'invited', 'by_hand'];

    protected $attributes = ['ignored' => false, 'lead_minutes' => null, 'gone_at' => null, 'missing' => false, 'messaged' => false, 'organizer' => null, 'sequence' => 0, 'invited' => false, 'by_hand' => null];

    /** @return BelongsTo<Calendar, $this> */
    public function calendar(): BelongsTo
    {
        return $this->belongsTo(Calendar::class);
    }

    /** @return HasMany<GivenAnswer, $this> */
    public function answers(): HasMany
    {
        return $this->hasMany(GivenAnswer::class);
    }

    /**
     * Somebody waits for the person's answer to it, and can be written to.
     *
     * @param  Builder<self>  $query
     */
    #[Scope]
    protected function asked(Builder $query): void
    {
        $query->where('invited', true)->whereNotNull('organizer')->where('source', '!=', '');
    }

    /** The same as the scope asked(). */
    public function isAsked(): bool
    {
        return $this->invited && $this->organizer !== null && $this->source !== '';
    }

    /** @return HasMany<Occurrence, $this> */
    public function occurrences(): HasMany
    {
        return $this->hasMany(Occurrence::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['ignored' => 'boolean', 'lead_minutes' => 'integer', 'expanded_until' => 'immutable_datetime', 'gone_at' => 'immutable_datetime', 'missing' => 'boolean', 'messaged' => 'boolean', 'sequence' => 'integer', 'invited' => 'boolean'];
    }
}
