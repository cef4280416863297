<?php

declare(strict_types=1);

namespace App\Rows;

use App\Models\Area;
use App\Models\CalendarGroup;
use App\Models\Occurrence;
use App\Models\Task;
use App\Models\User;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Collection;

/**
 * A group of areas and calendars that every screen is narrowed to: what is listed is the group's, what is reckoned (gauge,
 * plan, pressure, sums) is of everything.
 */
final readonly class Lens
{
    /** @param  array<int, true>|null  $areas  by id; null: everything is seen */
    private function __construct(public ?CalendarGroup $group, private ?array $areas) {}

    public static function none(): self
    {
        return new self(null, null);
    }

    /** @param  Collection<int, Area>  $areas  of the person */
    public static function of(CalendarGroup $group, Collection $areas): self
    {
        return new self($group, array_fill_keys($areas->where('group_id', $group->id)->pluck('id')->all(), true));
    }

    public function isOn(): bool
    {
        return $this->group !== null;
    }

    public function name(): string
    {
        return $this->group->name ?? '';
    }

    public function holdsArea(int $area): bool
    {
        return $this->areas === null || isset($this->areas[$area]);
    }

    /** @return list<int>|null null: all */
    public function areas(): ?array
    {
        return $this->areas === null ? null : array_keys($this->areas);
    }

    /** @return HasMany<Task, User> those that it lets through */
    public function tasks(User $user): HasMany
    {
        return $this->areas === null ? $user->tasks() : $user->tasks()->whereIn('area_id', array_keys($this->areas));
    }

    /** Of a meeting that is at hand with its calendar; a calendar of no group is seen through every lens. */
    public function holdsMeeting(Occurrence $occurrence): bool
    {
        $group = $occurrence->meeting->calendar->getAttributes()['group_id'];

        return $this->group === null || $group === null || $group === $this->group->id;
    }

    /**
     * @param  Collection<int, Candidate>  $candidates
     * @return Collection<int, Candidate>
     */
    public function narrow(Collection $candidates): Collection
    {
        return $this->areas === null ? $candidates : $candidates->filter(fn (Candidate $one): bool => isset($this->areas[$one->area]));
    }
}
