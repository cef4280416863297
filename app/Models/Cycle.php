<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Nekto\Core\Goals\CycleWeeks;
use Nekto\Core\Time\LocalDay;

/**
 * The weeks that goals are set for.
 *
 * @property int $id
 * @property int $user_id
 * @property string $begins_on Y-m-d, the first day of a week
 * @property int $weeks
 * @property string|null $vision what all of it is for; the next cycle begins with it
 * @property CarbonImmutable|null $closed_at UTC
 * @property array<string, mixed>|null $account its figures as they were when it was closed
 * @property-read Collection<int, Goal> $goals
 */
final class Cycle extends Model
{
    use WakesQuickly;

    public const MOST_WEEKS = 26;

    public $timestamps = false;

    protected $fillable = ['begins_on', 'weeks', 'vision', 'closed_at', 'account'];

    protected $attributes = ['vision' => null, 'closed_at' => null, 'account' => null];

    /** @return HasMany<Goal, $this> */
    public function goals(): HasMany
    {
        return $this->hasMany(Goal::class)->orderBy('position')->orderBy('id');
    }

    public function span(): CycleWeeks
    {
        return new CycleWeeks(LocalDay::fromString($this->begins_on), $this->weeks);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['weeks' => 'integer', 'account' => 'array', 'closed_at' => 'immutable_datetime'];
    }
}
