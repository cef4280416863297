<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * An address that belongs to a task.
 *
 * @property int $id
 * @property int $user_id
 * @property int $task_id
 * @property string $address
 * @property string|null $title
 */
final class Link extends Model
{
    use WakesQuickly;

    public $timestamps = false;

    protected $fillable = ['user_id', 'address', 'title'];
}
