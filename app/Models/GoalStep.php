<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A task set for one week of a cycle, because it moves a goal.
 *
 * @property int $id
 * @property int $user_id
 * @property int $goal_id
 * @property int $task_id
 * @property string $week_on Y-m-d, the first day of its week
 * @property string|null $fate what was decided about it when its week was over and it was not done: over or let_go
 * @property-read Task $task
 */
final class GoalStep extends Model
{
    use WakesQuickly;

    /** It was set for the next week too. */
    public const OVER = 'over';

    /** It is no step any more; the task stays. */
    public const LET_GO = 'let_go';

    public $timestamps = false;

    protected $fillable = ['user_id', 'goal_id', 'task_id', 'week_on', 'fate'];

    protected $attributes = ['fate' => null];

    /** @return BelongsTo<Task, $this> */
    public function task(): BelongsTo
    {
        return $this->belongsTo(Task::class)->withTrashed();
    }
}
