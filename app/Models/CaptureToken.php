<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Lets a page or a program catch things for a person. Only a digest of it is kept.
 *
 * @property int $id
 * @property int $user_id
 * @property string $name
 * @property string $hash SHA-256
 * @property CarbonImmutable|null $last_used_at UTC
 * @property CarbonImmutable|null $revoked_at UTC
 * @property CarbonImmutable $created_at UTC
 * @property-read User $user
 */
final class CaptureToken extends Model
{
    use WakesQuickly;

    protected $fillable = ['name', 'hash', 'last_used_at', 'revoked_at'];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['last_used_at' => 'immutable_datetime', 'revoked_at' => 'immutable_datetime', 'created_at' => 'immutable_datetime'];
    }
}
