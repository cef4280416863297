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

/** What follows from a person's plan: kept beside it when it is stored, and computed anew when it was not. */
final readonly class Prospects
{
    public function __construct(private ProblemLoader $problems) {}

    public function slacks(User $user, CarbonImmutable $now): Slacks
    {
        $kept = DB::table('prospects')->where('user_id', $user->id)->value('slacks');
        if (is_string($kept)) {
            return Slacks::read($kept);
        }
        $problem = $this->problems->load($user, $now)->problem;
        $blocks = [...$problem->anchored, ...$problem->previous];
        usort($blocks, static fn (Block $a, Block $b): int => $a->time->start <=> $b->time->start);

        return self::keep($user, $problem, new Plan(array_values(array_filter($blocks, static fn (Block $block): bool => $block->time->end > $problem->now))));
    }

    public static function keep(User $user, PlanningProblem $problem, Plan $plan): Slacks
    {
        $slacks = Slacks::from((new LatestStarts($problem, $plan))->blocks);
        DB::table('prospects')->upsert([['user_id' => $user->id, 'slacks' => json_encode($slacks->blocks, JSON_THROW_ON_ERROR)]], ['user_id'], ['slacks']);

        return $slacks;
    }

    /** The plan is another one without having been planned: an undo brought it back. */
    public static function forget(User $user): void
    {
        DB::table('prospects')->where('user_id', $user->id)->delete();
    }
}
