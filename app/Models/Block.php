<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Attributes\Scope;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Planned time for a task.
 *
 * @property int $id
 * @property int $user_id
 * @property int $task_id
 * @property CarbonImmutable $starts_at UTC
 * @property CarbonImmutable $ends_at UTC
 * @property bool $anchored
 * @property bool $put_back an undo put it back: mending leaves it alone
 * @property BlockState $state
 * @property list<array<string, int|string>>|null $reasons code and facts, as the core gave them
 * @property int|null $reserve_id the batch it is part of
 * @property-read Task $task
 * @property-read User $user
 */
final class Block extends Model
{
    use WakesQuickly;

    public $timestamps = false;

    protected $fillable = ['task_id', 'starts_at', 'ends_at', 'anchored', 'put_back', 'state', 'reasons', 'reserve_id'];

    protected $attributes = ['anchored' => false, 'put_back' => false, 'state' => 'planned', 'reasons' => null, 'reserve_id' => null];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<Task, $this> */
    public function task(): BelongsTo
    {
        return $this->belongsTo(Task::class)->withTrashed();
    }

    /**
     * Still to be worked on, or being worked on.
     *
     * @param  Builder<self>  $query
     */
    #[Scope]
    protected function planned(Builder $query): void
    {
        $query->where('state', BlockState::Planned);
    }

    /**
     * Planned, and not over.
     *
     * @param  Builder<self>  $query
     */
    #[Scope]
    protected function ahead(Builder $query, CarbonImmutable $now): void
    {
        $query->where('state', BlockState::Planned)->where('ends_at', '>', $now);
    }

    /**
     * Planned and held at its time by the person, who anchored it or put it back by an undo.
     *
     * @param  Builder<self>  $query
     */
    #[Scope]
    protected function pinned(Builder $query): void
    {
        $query->where('state', BlockState::Planned)->where(static fn (Builder $one): Builder => $one->where('anchored', true)->orWhere('put_back', true));
    }

    /**
     * Pinned or begun: planning goes around it.
     *
     * @param  Builder<self>  $query
     */
    #[Scope]
    protected function fixed(Builder $query, CarbonImmutable $now): void
    {
        $query->where('state', BlockState::Planned)->where('ends_at', '>', $now)
            ->where(static fn (Builder $one): Builder => $one->where('anchored', true)->orWhere('put_back', true)->orWhere('starts_at', '<=', $now));
    }

    /**
     * Its time went by undone, and nobody wants it left there: the work is to be placed again.
     *
     * @param  Builder<self>  $query
     */
    #[Scope]
    protected function passed(Builder $query, CarbonImmutable $now): void
    {
        $query->where('state', BlockState::Planned)->where('put_back', false)->where('ends_at', '<=', $now);
    }

    /** The same as the scope planned(), of a row that is at hand. */
    public function isPlanned(): bool
    {
        return $this->state === BlockState::Planned;
    }

    /** The same as the scope ahead(). */
    public function isAhead(CarbonImmutable $now): bool
    {
        return $this->isPlanned() && $this->getAttributes()['ends_at'] > $now->utc()->toDateTimeString();
    }

    /** The same as the scope pinned(). */
    public function isPinned(): bool
    {
        return $this->isPlanned() && ($this->anchored || $this->put_back);
    }

    /** The same as the scope fixed(). */
    public function isFixed(CarbonImmutable $now): bool
    {
        return $this->isAhead($now) && ($this->isPinned() || $this->hasBegun($now));
    }

    /** The same as the scope passed(). */
    public function hasPassed(CarbonImmutable $now): bool
    {
        return $this->isPlanned() && ! $this->put_back && ! $this->isAhead($now);
    }

    /** It lies at the present moment. */
    public function isOn(CarbonImmutable $now): bool
    {
        return $this->isAhead($now) && $this->hasBegun($now);
    }

    private function hasBegun(CarbonImmutable $now): bool
    {
        return $this->getAttributes()['starts_at'] <= $now->utc()->toDateTimeString();
    }

    /** The person fixed it, and now a meeting lies on it. */
    public function clashesWith(Occurrence $meeting): bool
    {
        return $this->anchored && $meeting->blocks() && $meeting->starts_at < $this->ends_at && $meeting->ends_at > $this->starts_at;
    }

    /** What a form sends along, so that a change made elsewhere meanwhile is noticed. */
    public function mark(): string
    {
        $stored = $this->getAttributes();

        return substr(sha1("{$stored['starts_at']} {$stored['ends_at']} {$this->state->value}".($this->anchored ? ' anchored' : '')), 0, 12);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'starts_at' => 'immutable_datetime',
            'ends_at' => 'immutable_datetime',
            'anchored' => 'boolean',
            'put_back' => 'boolean',
            'state' => BlockState::class,
            'reasons' => 'array',
            'reserve_id' => 'integer',
        ];
    }
}
