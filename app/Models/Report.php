<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What is told to others again and again: of which stretch, in which sections.
 *
 * @property int $id
 * @property int $user_id
 * @property int|null $project_id
 * @property string $name
 * @property string $scope day, week or project
 * @property string $sections of SECTIONS, with commas, in their order
 * @property string|null $to an address
 * @property int|null $remind_on 1 Monday to 7 Sunday; null with a time: every day
 * @property int|null $remind_at minutes since local midnight; null: no reminder
 * @property int $position
 * @property-read Project|null $project
 */
final class Report extends Model
{
    use WakesQuickly;

    public const SCOPES = ['day', 'week', 'project'];

    public const SECTIONS = ['done', 'begun', 'next', 'stuck', 'due', 'time', 'meetings'];

    public $timestamps = false;

    protected $fillable = ['project_id', 'name', 'scope', 'sections', 'to', 'remind_on', 'remind_at', 'position'];

    protected $attributes = ['project_id' => null, 'to' => null, 'remind_on' => null, 'remind_at' => null, 'position' => 0];

    /** @return BelongsTo<Project, $this> */
    public function project(): BelongsTo
    {
        return $this->belongsTo(Project::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['remind_on' => 'integer', 'remind_at' => 'integer'];
    }
}
