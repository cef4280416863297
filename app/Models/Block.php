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
 * @property bool $kept an undo put it back: healing leaves it alone
 * @property BlockState $state
 * @property list<array<string, int|string>>|null $reasons code and facts, as the core gave them
 * @property int|null $reserve_id the batch it is part of
 * @property-read Task $task
 * @property-read User $user
 */
final class Block extends Model
{
    public $timestamps = false;

    protected $fillable = ['task_id', 'starts_at', 'ends_at', 'anchored', 'kept', 'state', 'reasons', 'reserve_id'];

    protected $attributes = ['anchored' => false, 'kept' => false, 'state' => 'planned', 'reasons' => null, 'reserve_id' => null];

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
     * Anchored, put back by an undo, or begun: planning goes around it.
     *
     * @param  Builder<self>  $query
     */
    #[Scope]
    protected function fixed(Builder $query, CarbonImmutable $now): void
    {
        $query->where('state', BlockState::Planned)->where(static fn (Builder $one): Builder => $one->where('anchored', true)->orWhere('kept', true)->orWhere('starts_at', '<=', $now));
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
            'kept' => 'boolean',
            'state' => BlockState::class,
            'reasons' => 'array',
            'reserve_id' => 'integer',
        ];
    }
}
