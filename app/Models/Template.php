<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * What comes back now and then: a task with its subtasks, estimates and dates from the day it begins.
 *
 * @property int $id
 * @property int $user_id
 * @property string $name
 * @property array<string, mixed> $pattern
 */
final class Template extends Model
{
    use WakesQuickly;

    protected $fillable = ['name', 'pattern'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['pattern' => 'array'];
    }
}
