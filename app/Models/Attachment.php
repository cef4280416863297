<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A file that belongs to a task or came with a message.
 *
 * @property int $id
 * @property int $user_id
 * @property int|null $task_id
 * @property int|null $message_id
 * @property string $name as the person knows it
 * @property string $path in the application's storage
 * @property string $type media type, as the file itself tells
 * @property int $size bytes
 */
final class Attachment extends Model
{
    use WakesQuickly;

    protected $fillable = ['user_id', 'task_id', 'message_id', 'name', 'path', 'type', 'size'];
}
