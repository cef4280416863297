<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A date with opening times of its own, or none.
 *
 * @property int $id
 * @property int $hours_set_id
 * @property string $date Y-m-d
 * @property list<array{string, string}> $stretches
 */
final class HoursException extends Model
{
    use WakesQuickly;

    public $timestamps = false;

    protected $fillable = ['date', 'stretches'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['stretches' => 'array'];
    }
}
