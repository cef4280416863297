<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Attributes\Scope;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletes;
use Nekto\Core\Pressure\Push;
use Nekto\Core\Task\Demand;
use Nekto\Core\Task\Importance;
use Nekto\Core\Task\Left;

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
 * @property int|null $said minutes last said to be left; the estimate, until somebody says otherwise
 * @property CarbonImmutable|null $said_at UTC, since when what is worked counts against it; null = all of it
 * @property int|null $expected minutes that the plan expects in all instead; null = as said
 * @property bool $by_steps its estimate is what its steps add up to; else somebody said it
 * @property int|null $estimate_begun minutes, the estimate when the work began
 * @property int $min_chunk minutes
 * @property int $max_chunk minutes
 * @property Demand $demand
 * @property int $carried
 * @property CarbonImmutable|null $done_at UTC
 * @property CarbonImmutable $created_at UTC
 * @property CarbonImmutable $updated_at UTC
 * @property int|null $project_id
 * @property int|null $section_id
 * @property int|null $hours_set_id null: the area's
 * @property int|null $repeat_id
 * @property string|null $occurs_on Y-m-d, which of its occurrences it is; of a habit's, the first day of its week
 * @property int|null $habit_id of which it is one of the times
 * @property int $position among its project's tasks
 * @property string|null $picked_on Y-m-d
 * @property bool $key
 * @property CarbonImmutable|null $set_at UTC, a time that was set for it
 * @property string|null $part of the day: morning, afternoon, evening
 * @property bool $splits may be done in several blocks
 * @property string|null $waiting_for
 * @property string|null $waiting_since Y-m-d
 * @property string|null $ask_on Y-m-d
 * @property string|null $return_on Y-m-d, when something for someday reappears
 * @property string|null $origin where an import found it
 * @property CarbonImmutable|null $deleted_at UTC, let go
 * @property-read Area $area
 * @property-read User $user
 * @property-read Project|null $project
 * @property-read Section|null $section
 * @property-read Repeat|null $repeat
 * @property-read Collection<int, Subtask> $subtasks
 * @property-read Collection<int, Context> $contexts
 * @property-read Collection<int, Link> $links
 * @property-read Collection<int, Attachment> $attachments
 */
final class Task extends Model
{
    use SoftDeletes;
    use WakesQuickly;

    protected $fillable = [
        'area_id', 'title', 'short', 'note', 'stage', 'source', 'typed', 'importance', 'push', 'due_on', 'due_at', 'due_hard',
        'not_before', 'estimate', 'said', 'said_at', 'by_steps', 'estimate_begun', 'min_chunk', 'max_chunk', 'demand', 'carried', 'done_at', 'project_id', 'section_id',
        'hours_set_id', 'repeat_id', 'habit_id', 'occurs_on', 'position', 'picked_on', 'key', 'set_at', 'part', 'splits', 'waiting_for', 'waiting_since',
        'ask_on', 'return_on', 'origin', 'created_at',
    ];

    /** The columns' own defaults, so that a new task can be looked at before it is read back. */
    protected $attributes = [
        'stage' => 'inbox', 'source' => 'typed', 'push' => 0, 'due_hard' => false, 'min_chunk' => 15, 'max_chunk' => 120,
        'demand' => 'light', 'carried' => 0, 'said' => null, 'said_at' => null, 'by_steps' => false, 'estimate_begun' => null, 'expected' => null, 'project_id' => null, 'section_id' => null, 'hours_set_id' => null, 'repeat_id' => null, 'habit_id' => null, 'occurs_on' => null,
        'position' => 0, 'picked_on' => null, 'key' => false, 'set_at' => null, 'part' => null, 'splits' => true, 'waiting_for' => null,
        'waiting_since' => null, 'ask_on' => null, 'return_on' => null, 'origin' => null,
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

    /** @return BelongsTo<Project, $this> */
    public function project(): BelongsTo
    {
        return $this->belongsTo(Project::class);
    }

    /** @return BelongsTo<Section, $this> */
    public function section(): BelongsTo
    {
        return $this->belongsTo(Section::class);
    }

    /** @return BelongsTo<Repeat, $this> */
    public function repeat(): BelongsTo
    {
        return $this->belongsTo(Repeat::class);
    }

    /** @return HasMany<Subtask, $this> */
    public function subtasks(): HasMany
    {
        return $this->hasMany(Subtask::class)->orderBy('position')->orderBy('id');
    }

    /** @return BelongsToMany<Context, $this> */
    public function contexts(): BelongsToMany
    {
        return $this->belongsToMany(Context::class)->orderBy('position')->orderBy('name');
    }

    /** @return HasMany<Link, $this> */
    public function links(): HasMany
    {
        return $this->hasMany(Link::class)->orderBy('id');
    }

    /** @return HasMany<Attachment, $this> */
    public function attachments(): HasMany
    {
        return $this->hasMany(Attachment::class)->orderBy('id');
    }

    /** @return HasMany<TaskEvent, $this> */
    public function events(): HasMany
    {
        return $this->hasMany(TaskEvent::class)->orderByDesc('id');
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
     * Weighed and estimated: what can be laid out.
     *
     * @param  Builder<self>  $query
     */
    #[Scope]
    protected function plannable(Builder $query): void
    {
        $query->whereNull('done_at')->where('stage', TaskStage::Open)->whereNotNull('importance')->where('said', '>', 0);
    }

    /**
     * With the minutes worked since what is left was said, so that left() need not ask for each.
     *
     * @param  Builder<self>  $query
     */
    #[Scope]
    protected function counted(Builder $query, CarbonImmutable $now): void
    {
        $query->getQuery()->columns === null && $query->select('tasks.*');
        $query->selectRaw(Worked::sinceSaid($now).' as worked');
    }

    /** The same as the scope plannable(), of a row that is at hand. */
    public function isPlannable(): bool
    {
        return $this->importance !== null && (int) $this->said > 0 && $this->done_at === null && $this->stage === TaskStage::Open;
    }

    /** What is left of it; null where nothing was said. */
    public function left(CarbonImmutable $now): ?Left
    {
        if ($this->said === null) {
            return null;
        }
        if (! isset($this->attributes['worked'])) {
            $this->attributes['worked'] = $this->exists ? (int) $this->newQueryWithoutScopes()->whereKey($this->id)->selectRaw(Worked::sinceSaid($now).' as worked')->value('worked') : 0;
            $this->syncOriginalAttribute('worked');
        }

        return new Left($this->said, (int) $this->attributes['worked'], $this->said_at === null ? $this->expected : null);
    }

    /** Minutes: 0 where it is done or nothing was said. */
    public function minutesLeft(CarbonImmutable $now): int
    {
        return $this->done_at === null ? $this->left($now)?->minutes() ?? 0 : 0;
    }

    /** Minutes to be laid out, whole steps; 0 where it is done or nothing was said. */
    public function minutesToPlan(CarbonImmutable $now): int
    {
        return $this->done_at === null ? $this->left($now)?->toPlan() ?? 0 : 0;
    }

    /** Asks anew what was worked: it may have changed. */
    public function recount(): void
    {
        unset($this->attributes['worked'], $this->original['worked']);
    }

    /** The set of hours it is done in: its own, or its area's. */
    public function hoursSet(): int
    {
        return $this->hours_set_id ?? $this->area->hours_set_id;
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
            'said_at' => 'immutable_datetime',
            'due_hard' => 'boolean',
            'not_before' => 'immutable_datetime',
            'demand' => Demand::class,
            'done_at' => 'immutable_datetime',
            'project_id' => 'integer',
            'section_id' => 'integer',
            'hours_set_id' => 'integer',
            'habit_id' => 'integer',
            'key' => 'boolean',
            'splits' => 'boolean',
            'by_steps' => 'boolean',
            'set_at' => 'immutable_datetime',
            'created_at' => 'immutable_datetime',
            'deleted_at' => 'immutable_datetime',
            'updated_at' => 'immutable_datetime',
        ];
    }
}
