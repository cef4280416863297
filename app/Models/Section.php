<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A part of a project, whose tasks come one after another or in any order.
 *
 * @property int $id
 * @property int $user_id
 * @property int $project_id
 * @property string $name
 * @property bool $sequential
 * @property string|null $due_on its milestone: the local day by which all of it is due
 * @property int $position
 * @property-read Project $project
 */
final class Section extends Model
{
    use WakesQuickly;

    public $timestamps = false;

    protected $fillable = ['user_id', 'name', 'sequential', 'due_on', 'position'];

    protected $attributes = ['sequential' => false, 'position' => 0];

    /** @return BelongsTo<Project, $this> */
    public function project(): BelongsTo
    {
        return $this->belongsTo(Project::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['sequential' => 'boolean'];
    }
}
