<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * An event of a calendar, or a series of them.
 *
 * @property int $id
 * @property int $user_id
 * @property string $uid
 * @property string $summary
 * @property string $source iCalendar text
 * @property int|null $lead_minutes to get there; null = the usual buffer
 * @property bool $ignored
 * @property CarbonImmutable|null $expanded_until UTC; null = nothing more to come
 */
final class Meeting extends Model
{
    use WakesQuickly;

    protected $fillable = ['uid', 'summary', 'source', 'lead_minutes', 'ignored', 'expanded_until'];

    protected $attributes = ['ignored' => false, 'lead_minutes' => null];

    /** @return HasMany<Occurrence, $this> */
    public function occurrences(): HasMany
    {
        return $this->hasMany(Occurrence::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['ignored' => 'boolean', 'lead_minutes' => 'integer', 'expanded_until' => 'immutable_datetime'];
    }
}
