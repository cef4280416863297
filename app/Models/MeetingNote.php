<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * What the person wrote down for one time of a meeting.
 *
 * @property int $id
 * @property int $user_id
 * @property int $meeting_id
 * @property CarbonImmutable $starts_at UTC
 * @property string $text
 */
final class MeetingNote extends Model
{
    use WakesQuickly;

    public $timestamps = false;

    protected $fillable = ['user_id', 'meeting_id', 'starts_at', 'text'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['starts_at' => 'immutable_datetime'];
    }
}
