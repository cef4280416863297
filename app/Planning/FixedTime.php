<?php

declare(strict_types=1);

namespace App\Planning;

use App\Models\Block;
use App\Models\Occurrence;
use App\Models\User;
use App\Wording\Times;
use Carbon\CarbonImmutable;

/** Which times a person can still fix something at. */
final readonly class FixedTime
{
    /** Something can be fixed this far ahead. */
    private const MOST_DAYS = 366;

    /**
     * @param  list<int>  $but  blocks that make way themselves
     * @param  bool  $begun  it has begun already and only ends elsewhere
     *
     * @throws PlanConflict if that time has passed, is too far away or belongs to another fixed block
     */
    public static function ensureFree(User $user, CarbonImmutable $start, CarbonImmutable $end, CarbonImmutable $now, array $but = [], bool $begun = false): void
    {
        if ($end <= $now || ($start < $now && ! $begun)) {
            throw PlanConflict::passed();
        }
        if ($end > $now->addDays(self::MOST_DAYS)) {
            throw PlanConflict::tooFar();
        }
        $other = self::owner($user, $start, $end, $now, $but);
        if ($other !== null) {
            throw PlanConflict::anchored($other->task->title, Times::range($user, $other->starts_at, $other->ends_at));
        }
    }

    /** @return list<Occurrence> meetings that some of that time lies on; who wants to be at two things may, but is told */
    public static function meetings(User $user, CarbonImmutable $start, CarbonImmutable $end): array
    {
        return array_values($user->occurrences()->interrupting()->where('starts_at', '<', $end->utc())->where('ends_at', '>', $start->utc())->orderBy('starts_at')->get()->all());
    }

    /**
     * The first fixed block that has some of that time, with its task; null if it belongs to none.
     *
     * @param  list<int>  $but  blocks that do not count
     */
    public static function owner(User $user, CarbonImmutable $start, CarbonImmutable $end, CarbonImmutable $now, array $but = []): ?Block
    {
        return $user->blocks()->fixed($now)->whereKeyNot($but)
            ->where('starts_at', '<', $end->utc())->where('ends_at', '>', $start->utc())
            ->with('task')->orderBy('starts_at')->first();
    }
}
