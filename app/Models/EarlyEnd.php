<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * The rest of a day in which no work is planned.
 *
 * @property int $id
 * @property int $user_id
 * @property CarbonImmutable $from_at UTC
 * @property CarbonImmutable $until_at UTC
 */
final class EarlyEnd extends Model
{
    use WakesQuickly;

    public $timestamps = false;

    protected $fillable = ['from_at', 'until_at'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['from_at' => 'immutable_datetime', 'until_at' => 'immutable_datetime'];
    }
}
