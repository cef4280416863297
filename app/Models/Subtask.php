<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A step of a task.
 *
 * @property int $id
 * @property int $user_id
 * @property int $task_id
 * @property string $title
 * @property int|null $estimate minutes
 * @property CarbonImmutable|null $done_at
 * @property int $position
 * @property-read Task $task
 */
final class Subtask extends Model
{
    use WakesQuickly;

    public $timestamps = false;

    protected $fillable = ['user_id', 'title', 'estimate', 'done_at', 'position'];

    protected $attributes = ['estimate' => null, 'done_at' => null, 'position' => 0];

    /** @return BelongsTo<Task, $this> */
    public function task(): BelongsTo
    {
        return $this->belongsTo(Task::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['done_at' => 'immutable_datetime', 'estimate' => 'integer'];
    }
}
