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
 * @property string|null $name what for
 * @property bool $everywhere a day off: of all sets of hours alike
 */
final class HoursException extends Model
{
    use WakesQuickly;

    public $timestamps = false;

    protected $attributes = ['name' => null, 'everywhere' => false];

    protected $fillable = ['date', 'stretches', 'name', 'everywhere'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['stretches' => 'array', 'everywhere' => 'boolean'];
    }
}
