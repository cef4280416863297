<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * What a task needs: a place, a person, a tool.
 *
 * @property int $id
 * @property int $user_id
 * @property string $name
 * @property int $position
 * @property bool $private left out of reports
 */
final class Context extends Model
{
    use WakesQuickly;

    public $timestamps = false;

    protected $fillable = ['name', 'position', 'private'];

    protected $attributes = ['private' => false];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['private' => 'boolean'];
    }
}
