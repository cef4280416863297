<?php

declare(strict_types=1);

namespace App\Planning;

use App\Models\User;
use Nekto\Core\Plan\Move;
use Nekto\Core\Plan\Plan;
use Nekto\Core\Plan\PlanDifference;
use Nekto\Core\Plan\PlanningProblem;
use Nekto\Core\Prospect\Outcome;

/** What laying everything out anew would do: how much less late the work would be, and what would move for it. */
final readonly class Anew
{
    /**
     * @param  int  $less  minutes of lateness, by weight; below 0 it would be worse
     * @param  int  $tasks  that would move
     */
    private function __construct(public int $less, public int $tasks) {}

    /**
     * @param  PlanningProblem  $problem  with the plan as it is
     * @param  Plan  $now  that plan
     */
    public static function between(PlanningProblem $problem, Plan $now, Plan $then): self
    {
        $moved = array_map(static fn (Move $move): string => $move->task, array_filter((new PlanDifference($problem, $then))->moves(), static fn (Move $move): bool => $move->from !== null));

        return new self(self::late($problem, $now) - self::late($problem, $then), count(array_unique($moved)));
    }

    /** Where nothing is laid out. */
    public static function nothing(): self
    {
        return new self(0, 0);
    }

    /** True if it would be so much better that the person wants to hear of it. */
    public function isOffered(User $user): bool
    {
        return $user->offer_anew > 0 && $this->less >= $user->offer_anew;
    }

    /** @throws \JsonException if it is not what asText() wrote */
    public static function read(string $text): self
    {
        $read = json_decode($text, true, flags: JSON_THROW_ON_ERROR);

        return new self((int) $read['less'], (int) $read['tasks']);
    }

    public function asText(): string
    {
        return json_encode(['less' => $this->less, 'tasks' => $this->tasks], JSON_THROW_ON_ERROR);
    }

    /** Minutes of lateness by weight; a hard due date counts ten times. */
    private static function late(PlanningProblem $problem, Plan $plan): int
    {
        return intdiv(array_sum((new Outcome($problem, $plan))->lateness), 20);
    }
}
