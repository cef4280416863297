<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A day on which a routine is otherwise than usual, or some of it is done.
 *
 * @property int $id
 * @property int $user_id
 * @property int $routine_id
 * @property string $date Y-m-d
 * @property int|null $at minutes since local midnight; null: as usual
 * @property int|null $minutes null: as usual
 * @property bool $dropped
 * @property list<int>|null $ticked places of the parts that are done
 */
final class RoutineDay extends Model
{
    use WakesQuickly;

    public $timestamps = false;

    protected $fillable = ['user_id', 'date', 'at', 'minutes', 'dropped', 'ticked'];

    protected $attributes = ['at' => null, 'minutes' => null, 'dropped' => false, 'ticked' => null];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['at' => 'integer', 'minutes' => 'integer', 'dropped' => 'boolean', 'ticked' => 'array'];
    }
}
