<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A meeting at its time.
 *
 * @property int $id
 * @property int $user_id
 * @property int $meeting_id
 * @property string $summary
 * @property string|null $place
 * @property CarbonImmutable $starts_at UTC
 * @property CarbonImmutable $ends_at UTC
 * @property bool $all_day
 * @property bool $busy
 * @property-read Meeting $meeting
 */
final class Occurrence extends Model
{
    public $timestamps = false;

    protected $fillable = ['user_id', 'summary', 'place', 'starts_at', 'ends_at', 'all_day', 'busy'];

    /** @return BelongsTo<Meeting, $this> */
    public function meeting(): BelongsTo
    {
        return $this->belongsTo(Meeting::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'starts_at' => 'immutable_datetime',
            'ends_at' => 'immutable_datetime',
            'all_day' => 'boolean',
            'busy' => 'boolean',
        ];
    }
}
