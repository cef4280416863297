<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * A day's account as the person left it: three lines, why things slipped, and whether it is closed.
 *
 * @property int $id
 * @property int $user_id
 * @property string $date Y-m-d
 * @property string|null $went_well
 * @property string|null $in_the_way
 * @property string|null $tomorrow
 * @property array<array-key, string> $slips by task id
 * @property CarbonImmutable|null $closed_at UTC
 * @property array<string, mixed>|null $account its figures as they were when it was last closed
 */
final class ClosedDay extends Model
{
    use WakesQuickly;

    public $timestamps = false;

    protected $fillable = ['date', 'went_well', 'in_the_way', 'tomorrow', 'slips', 'closed_at', 'account'];

    protected $attributes = ['slips' => '{}', 'closed_at' => null, 'account' => null, 'went_well' => null, 'in_the_way' => null, 'tomorrow' => null];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['slips' => 'array', 'account' => 'array', 'closed_at' => 'immutable_datetime'];
    }
}
