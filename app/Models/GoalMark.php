<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * Where a goal's measure stands since a day, as the person said it; of a weekly one, what that day brought.
 *
 * @property int $id
 * @property int $user_id
 * @property int $goal_id
 * @property string $date Y-m-d
 * @property float $value
 */
final class GoalMark extends Model
{
    use WakesQuickly;

    public $timestamps = false;

    protected $fillable = ['user_id', 'date', 'value'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['value' => 'float'];
    }
}
