<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * Time that planning keeps free, without a task of its own. With small tasks in it, it is a batch.
 *
 * @property int $id
 * @property int $user_id
 * @property string $title
 * @property CarbonImmutable $starts_at UTC
 * @property CarbonImmutable $ends_at UTC
 * @property-read User $user
 */
final class Reserve extends Model
{
    use WakesQuickly;

    public $timestamps = false;

    protected $fillable = ['title', 'starts_at', 'ends_at'];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return HasMany<Block, $this> what the batch holds, in its order */
    public function blocks(): HasMany
    {
        return $this->hasMany(Block::class)->orderBy('starts_at');
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['starts_at' => 'immutable_datetime', 'ends_at' => 'immutable_datetime'];
    }
}
