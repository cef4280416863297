<?php

declare(strict_types=1);

namespace App\Review;

use App\Catch\CaughtLine;
use App\Catch\KeepLines;
use App\Models\Area;
use App\Models\PlanRevision;
use App\Models\Review;
use App\Models\RevisionCause;
use App\Models\Task;
use App\Models\User;
use App\Planning\Replan;
use Carbon\CarbonImmutable;
use Nekto\Core\Capture\Kind;
use Nekto\Core\Time\LocalDay;

/** How far a review has come, and what is caught in it. */
final readonly class ReviewEdit
{
    public function __construct(private Replan $replan, private KeepLines $keep) {}

    /** The review of a week, begun if it was not. */
    public static function of(User $user, LocalDay $week, CarbonImmutable $now): Review
    {
        return $user->reviews()->where('week_on', $week->asString())->first() ?? $user->reviews()->create(['week_on' => $week->asString(), 'caught' => [], 'begun_at' => $now]);
    }

    /** It stands at that step, and is taken up there again. */
    public static function at(Review $review, int $step, int $place = 0): void
    {
        $review->closed_at === null && $review->update(['step' => max(1, min(count(Review::STEPS), $step)), 'place' => max(0, $place)]);
    }

    /**
     * A line caught in an area: it is sorted there, unless it says another.
     *
     * @param  list<string>  $refused  what the person refused to have understood
     * @param  list<string>  $proposed  what was proposed and seen
     */
    public function catch(User $user, Review $review, Area $area, string $text, array $refused, array $proposed, CarbonImmutable $now): ?PlanRevision
    {
        $line = (new CaughtLine($user, $now))->propose($text, $refused, $proposed);

        return $this->replan->after($user, $now, function () use ($user, $review, $area, $line, $now): void {
            $this->keep->one($user, $line, $now, $line->name(Kind::Area) === null && $line->name(Kind::Project) === null ? ['area_id' => $area->id] : []);
            $caught = $review->caught;
            $caught[$area->id] = ($caught[$area->id] ?? 0) + 1;
            $review->update(['caught' => $caught]);
        }, RevisionCause::Caught);
    }

    /** Something for someday was looked at, and stays. */
    public static function keep(Review $review, Task $task): void
    {
        $review->update(['kept' => array_values(array_unique([...$review->kept, $task->id]))]);
    }

    /** @param  array<string, mixed>  $account */
    public static function close(Review $review, array $account, ?string $note, CarbonImmutable $now): void
    {
        $review->update(['closed_at' => $now, 'account' => $account, 'note' => $note, 'step' => count(Review::STEPS)]);
    }
}
