<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * What a cycle is to bring, with the one number it is judged by.
 *
 * @property int $id
 * @property int $user_id
 * @property int $cycle_id
 * @property int $area_id whose colour and hours it has
 * @property int|null $project_id all of whose tasks are its work, beside its steps
 * @property int|null $task_id whose subtasks move it, where they do
 * @property string $name
 * @property string|null $purpose what it is for, in a line
 * @property string $unit of its measure, as "lenders signed"
 * @property float $target more than 0
 * @property bool $weekly the target is of each week; its measure begins at 0 with each
 * @property string|null $due_on Y-m-d; null: the end of the cycle
 * @property MovedBy $moved_by
 * @property int $position
 * @property-read Area $area
 * @property-read Cycle $cycle
 * @property-read User $user
 */
final class Goal extends Model
{
    use WakesQuickly;

    /** More are questioned. */
    public const MOST = 3;

    public $timestamps = false;

    protected $fillable = ['cycle_id', 'area_id', 'project_id', 'task_id', 'name', 'purpose', 'unit', 'target', 'weekly', 'due_on', 'moved_by', 'position'];

    protected $attributes = ['project_id' => null, 'task_id' => null, 'purpose' => null, 'unit' => '', 'weekly' => false, 'due_on' => null, 'moved_by' => 'hand', 'position' => 0];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<Cycle, $this> */
    public function cycle(): BelongsTo
    {
        return $this->belongsTo(Cycle::class);
    }

    /** @return BelongsTo<Area, $this> */
    public function area(): BelongsTo
    {
        return $this->belongsTo(Area::class);
    }

    /** @return HasMany<GoalStep, $this> */
    public function steps(): HasMany
    {
        return $this->hasMany(GoalStep::class)->orderBy('week_on')->orderBy('id');
    }

    /** @return HasMany<GoalMark, $this> */
    public function marks(): HasMany
    {
        return $this->hasMany(GoalMark::class)->orderBy('date');
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['target' => 'float', 'weekly' => 'boolean', 'moved_by' => MovedBy::class];
    }
}
