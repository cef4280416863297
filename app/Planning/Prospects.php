<?php

declare(strict_types=1);

namespace App\Planning;

use App\Models\User;
use App\Rows\Slacks;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Nekto\Core\Plan\Block;
use Nekto\Core\Plan\Plan;
use Nekto\Core\Plan\PlanningProblem;
use Nekto\Core\Prospect\LatestStarts;
use Nekto\Core\Prospect\Outcome;

/** What follows from a person's plan: kept beside it when it is stored, and computed anew when it was not. */
final readonly class Prospects
{
    public function __construct(private ProblemLoader $problems) {}

    public function slacks(User $user, CarbonImmutable $now): Slacks
    {
        $kept = DB::table('prospects')->where('user_id', $user->id)->first();
        if ($kept !== null) {
            return Slacks::read($kept->slacks, $kept->late);
        }
        $problem = $this->problems->load($user, $now)->problem;
        $blocks = [...$problem->anchored, ...$problem->previous];
        usort($blocks, static fn (Block $a, Block $b): int => $a->time->start <=> $b->time->start);

        return self::keep($user, $problem, new Plan(array_values(array_filter($blocks, static fn (Block $block): bool => $block->time->end > $problem->now))));
    }

    public static function keep(User $user, PlanningProblem $problem, Plan $plan): Slacks
    {
        $late = [];
        foreach ((new Outcome($problem, $plan))->late as $task => $minutes) {
            $late[(int) $task] = $minutes;
        }
        $slacks = Slacks::from((new LatestStarts($problem, $plan))->blocks, $late);
        DB::table('prospects')->upsert([['user_id' => $user->id, 'slacks' => json_encode($slacks->blocks, JSON_THROW_ON_ERROR), 'late' => json_encode((object) $slacks->late, JSON_THROW_ON_ERROR)]], ['user_id'], ['slacks', 'late']);

        return $slacks;
    }

    /** @return array<int, int>|null minutes of lateness by task, as the plan was stored; null where that is not known any more */
    public static function late(User $user): ?array
    {
        $kept = DB::table('prospects')->where('user_id', $user->id)->value('late');

        return is_string($kept) ? (array) json_decode($kept, true) : null;
    }

    /** The plan is another one without having been planned: an undo brought it back. */
    public static function forget(User $user): void
    {
        DB::table('prospects')->where('user_id', $user->id)->delete();
    }
}
