<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A question to the tasks that is asked again and again.
 *
 * @property int $id
 * @property int $user_id
 * @property string $name
 * @property array<string, mixed> $question conditions, grouping, order
 * @property bool $pinned to the head
 */
final class SavedView extends Model
{
    use WakesQuickly;

    protected $fillable = ['name', 'question', 'pinned', 'position'];

    protected $attributes = ['pinned' => false, 'position' => 0];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['question' => 'array', 'pinned' => 'boolean'];
    }
}
