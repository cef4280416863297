<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * Time that was really spent.
 *
 * @property int $id
 * @property int $user_id
 * @property int|null $task_id null: a meeting
 * @property int|null $block_id
 * @property CarbonImmutable $starts_at UTC
 * @property CarbonImmutable|null $ends_at UTC; null while it goes on
 * @property bool $break a rest, not work
 * @property string|null $stopped_by the meeting that stopped it, until somebody says whether the work went on
 */
final class Entry extends Model
{
    use WakesQuickly;

    public $timestamps = false;

    protected $fillable = ['task_id', 'block_id', 'starts_at', 'ends_at', 'break', 'stopped_by'];

    protected $attributes = ['task_id' => null, 'block_id' => null, 'ends_at' => null, 'break' => false, 'stopped_by' => null];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['starts_at' => 'immutable_datetime', 'ends_at' => 'immutable_datetime', 'break' => 'boolean'];
    }
}
