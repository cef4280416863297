<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A link that stands in a letter and works once. Only a digest of it is kept.
 *
 * @property int $id
 * @property int $user_id
 * @property string $kind reset or address
 * @property string $hash SHA-256
 * @property string|null $email the new address
 * @property CarbonImmutable $expires_at UTC
 * @property CarbonImmutable|null $used_at UTC
 * @property-read User $user
 */
final class MailedLink extends Model
{
    use WakesQuickly;

    public $timestamps = false;

    protected $fillable = ['kind', 'hash', 'email', 'expires_at', 'used_at'];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['expires_at' => 'immutable_datetime', 'used_at' => 'immutable_datetime'];
    }
}
