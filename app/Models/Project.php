<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletes;

/**
 * Several tasks with one outcome.
 *
 * @property int $id
 * @property int $user_id
 * @property int $area_id
 * @property string $name
 * @property string|null $note
 * @property string|null $due_on its milestone: the local day by which all of it is due
 * @property int|null $after_id the project that has to have nothing open before this one begins
 * @property bool $sequential only the first of its open tasks is a candidate
 * @property CarbonImmutable|null $done_at
 * @property-read Area $area
 * @property-read User $user
 * @property-read Collection<int, Section> $sections
 */
final class Project extends Model
{
    use SoftDeletes;
    use WakesQuickly;

    protected $fillable = ['area_id', 'after_id', 'name', 'note', 'sequential', 'due_on', 'done_at'];

    protected $attributes = ['sequential' => false];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<Area, $this> */
    public function area(): BelongsTo
    {
        return $this->belongsTo(Area::class);
    }

    /** @return BelongsTo<self, $this> */
    public function after(): BelongsTo
    {
        return $this->belongsTo(self::class, 'after_id');
    }

    /** @return HasMany<Section, $this> */
    public function sections(): HasMany
    {
        return $this->hasMany(Section::class)->orderBy('position')->orderBy('id');
    }

    /** @return HasMany<Task, $this> */
    public function tasks(): HasMany
    {
        return $this->hasMany(Task::class)->orderBy('position')->orderBy('id');
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['sequential' => 'boolean', 'done_at' => 'immutable_datetime', 'area_id' => 'integer', 'after_id' => 'integer'];
    }
}
