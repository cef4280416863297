<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A task that comes back: each occurrence is a task of its own.
 *
 * @property int $id
 * @property int $user_id
 * @property string|null $rule RFC 5545
 * @property string|null $after_done ISO 8601, "P3D"
 * @property string $days_off keep, skip or shift what falls on a closed day
 * @property array<string, mixed> $pattern
 * @property string $begins_on Y-m-d
 * @property CarbonImmutable|null $paused_at
 * @property CarbonImmutable|null $ended_at
 * @property-read User $user
 */
final class Repeat extends Model
{
    use WakesQuickly;

    protected $fillable = ['rule', 'after_done', 'days_off', 'pattern', 'begins_on', 'paused_at', 'ended_at'];

    protected $attributes = ['days_off' => 'keep', 'rule' => null, 'after_done' => null, 'paused_at' => null, 'ended_at' => null];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return HasMany<Task, $this> */
    public function tasks(): HasMany
    {
        return $this->hasMany(Task::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['pattern' => 'array', 'paused_at' => 'immutable_datetime', 'ended_at' => 'immutable_datetime'];
    }
}
