<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Attributes\Scope;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletes;
use Nekto\Core\Pressure\Push;
use Nekto\Core\Task\Demand;
use Nekto\Core\Task\Importance;

/**
 * @property int $id
 * @property int $user_id
 * @property int $area_id
 * @property string $title
 * @property string|null $short
 * @property string|null $note
 * @property TaskStage $stage
 * @property string $source
 * @property string|null $typed
 * @property Importance|null $importance null while unweighed
 * @property Push $push
 * @property string|null $due_on Y-m-d, the person's local day
 * @property CarbonImmutable|null $due_at UTC, where a time was given
 * @property bool $due_hard
 * @property CarbonImmutable|null $not_before UTC
 * @property int|null $estimate minutes
 * @property int|null $minutes_left minutes
 * @property int $min_chunk minutes
 * @property int $max_chunk minutes
 * @property Demand $demand
 * @property int $carried
 * @property CarbonImmutable|null $done_at UTC
 * @property CarbonImmutable $created_at UTC
 * @property CarbonImmutable $updated_at UTC
 * @property-read Area $area
 * @property-read User $user
 */
final class Task extends Model
{
    use SoftDeletes;

    protected $fillable = [
        'area_id', 'title', 'short', 'note', 'stage', 'source', 'typed', 'importance', 'push', 'due_on', 'due_at', 'due_hard',
        'not_before', 'estimate', 'minutes_left', 'min_chunk', 'max_chunk', 'demand', 'carried', 'done_at',
    ];

    /** The columns' own defaults, so that a new task can be looked at before it is read back. */
    protected $attributes = [
        'stage' => 'inbox', 'source' => 'typed', 'push' => 0, 'due_hard' => false, 'min_chunk' => 15, 'max_chunk' => 120,
        'demand' => 'light', 'carried' => 0,
    ];

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

    /** @return HasMany<Block, $this> */
    public function blocks(): HasMany
    {
        return $this->hasMany(Block::class);
    }

    /** @param  Builder<self>  $query */
    #[Scope]
    protected function inbox(Builder $query): void
    {
        $query->whereNull('done_at')->where('stage', TaskStage::Inbox);
    }

    /** @param  Builder<self>  $query */
    #[Scope]
    protected function open(Builder $query): void
    {
        $query->whereNull('done_at')->where('stage', TaskStage::Open);
    }

    /**
     * Weighed and estimated, with work left: what can be laid out.
     *
     * @param  Builder<self>  $query
     */
    #[Scope]
    protected function plannable(Builder $query): void
    {
        $query->whereNull('done_at')->where('stage', TaskStage::Open)->whereNotNull('importance')->where('minutes_left', '>', 0);
    }

    /** The same as the scope plannable(), of a row that is at hand. */
    public function hasWorkToPlan(): bool
    {
        return $this->importance !== null && (int) $this->minutes_left > 0 && $this->done_at === null && $this->stage === TaskStage::Open;
    }

    /** The name for places where the title is too long. */
    public function shortTitle(): string
    {
        return $this->short ?? $this->title;
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'stage' => TaskStage::class,
            'importance' => Importance::class,
            'push' => Push::class,
            'area_id' => 'integer',
            'due_at' => 'immutable_datetime',
            'due_hard' => 'boolean',
            'not_before' => 'immutable_datetime',
            'demand' => Demand::class,
            'done_at' => 'immutable_datetime',
            'created_at' => 'immutable_datetime',
            'updated_at' => 'immutable_datetime',
        ];
    }
}
