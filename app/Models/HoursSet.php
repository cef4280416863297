<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A named set of weekly opening times.
 *
 * @property int $id
 * @property int $user_id
 * @property string $name
 * @property array<string, list<array{string, string}>> $week
 * @property-read Collection<int, HoursException> $exceptions
 */
final class HoursSet extends Model
{
    use WakesQuickly;

    protected $fillable = ['name', 'week', 'position'];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return HasMany<HoursException, $this> */
    public function exceptions(): HasMany
    {
        return $this->hasMany(HoursException::class)->orderBy('date');
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['week' => 'array'];
    }
}
