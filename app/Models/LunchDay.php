<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A day with its lunch at another time, or without.
 *
 * @property int $id
 * @property int $user_id
 * @property string $date Y-m-d
 * @property int|null $from minutes since local midnight; null: none
 * @property int|null $to minutes since local midnight
 */
final class LunchDay extends Model
{
    use WakesQuickly;

    public $timestamps = false;

    protected $fillable = ['date', 'from', 'to'];

    protected $attributes = ['from' => null, 'to' => null];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['from' => 'integer', 'to' => 'integer'];
    }
}
