<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Something the person was, or is just being, reminded of.
 *
 * @property int $id
 * @property int $user_id
 * @property string $key what it is about, once for each person
 * @property string $kind meetings, blocks, due, waiting or close
 * @property string $title
 * @property string $body
 * @property string $address where it leads
 * @property string|null $link to join a meeting
 * @property int|null $task_id
 * @property CarbonImmutable $at UTC, when it came up
 * @property string|null $given_to the window that is to show it
 * @property CarbonImmutable|null $given_at UTC
 * @property CarbonImmutable|null $shown_at UTC, when that window said it had shown it
 * @property CarbonImmutable|null $mailed_at UTC
 */
final class Reminder extends Model
{
    use WakesQuickly;

    public $timestamps = false;

    protected $fillable = ['key', 'kind', 'title', 'body', 'address', 'link', 'task_id', 'at', 'given_to', 'given_at', 'shown_at', 'mailed_at'];

    /** @return BelongsTo<Task, $this> */
    public function task(): BelongsTo
    {
        return $this->belongsTo(Task::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['at' => 'immutable_datetime', 'given_at' => 'immutable_datetime', 'shown_at' => 'immutable_datetime', 'mailed_at' => 'immutable_datetime'];
    }
}
