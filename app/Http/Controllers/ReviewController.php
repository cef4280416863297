<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Edits\TaskEdit;
use App\Http\AskedDay;
use App\Http\Requests\LetterRequest;
use App\Http\Requests\PromptRequest;
use App\Http\Requests\ReviewRequest;
use App\Models\Area;
use App\Models\PlanRevision;
use App\Models\Review;
use App\Models\RevisionCause;
use App\Models\Task;
use App\Models\TaskStage;
use App\Models\User;
use App\Post\PostMail;
use App\Review\MakeRule;
use App\Review\ReviewEdit;
use App\Review\SlipRule;
use App\Screens\Review\ReviewScreen;
use App\Time\Clock;
use App\Time\Moments;
use App\Time\Weeks;
use App\Time\Zones;
use App\Wording\Said;
use Carbon\CarbonImmutable;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Nekto\Core\Time\LocalDay;

/** The weekly review, walked in seven steps. */
final readonly class ReviewController
{
    /** Step of the areas. */
    private const AREAS = 4;

    public function __construct(private ReviewEdit $edit, private Said $said) {}

    public function show(Request $request, #[CurrentUser] User $user, ReviewScreen $screen, ?string $date = null): View
    {
        $now = Clock::now();
        $step = $request->integer('step') ?: null;
        $place = $request->query('place');

        return view('screens.review', $screen->of($user, $this->week($user, $date, $now), $step, is_numeric($place) ? (int) $place : null, $request->boolean('all'), $now));
    }

    /** On to the next step, or the next area; a line is caught first, and the area stays. */
    public function step(ReviewRequest $request, #[CurrentUser] User $user, ReviewScreen $screen, string $date): RedirectResponse
    {
        $now = Clock::now();
        $week = $this->week($user, $date, $now);
        $review = ReviewEdit::of($user, $week, $now);
        $areas = $screen->areas();
        [$step, $place] = [$request->integer('step'), $request->integer('place')];
        $area = $step === self::AREAS ? $areas[$place] ?? null : null;
        if ($area instanceof Area && $request->line() !== '') {
            $revision = $this->edit->catch($user, $review, $area, $request->line(), $request->refused()[1] ?? [], $request->proposed()[1] ?? [], $now);
            ReviewEdit::at($review, $step, $place);

            return redirect($this->address($week, $step, $place))->with($this->said->about($revision, __('review.caught', ['area' => $area->name])));
        }
        $isMore = $step === self::AREAS && $place + 1 < count($areas);
        [$step, $place] = $isMore ? [$step, $place + 1] : [min(count(Review::STEPS), $step + 1), 0];
        ReviewEdit::at($review, $step, $place);

        return redirect($this->address($week, $step, $place));
    }

    public function close(ReviewRequest $request, #[CurrentUser] User $user, ReviewScreen $screen, string $date): RedirectResponse
    {
        $now = Clock::now();
        $week = $this->week($user, $date, $now);
        $review = ReviewEdit::of($user, $week, $now);
        ReviewEdit::close($review, $screen->account($screen->of($user, $week, count(Review::STEPS), null, true, $now)), $request->filled('note') ? $request->string('note')->toString() : null, $now);

        return redirect("/review/{$week->asString()}?all=1")->with('status', __('review.closed'));
    }

    public function open(#[CurrentUser] User $user, string $date): RedirectResponse
    {
        $week = $this->week($user, $date, Clock::now());
        $user->reviews()->where('week_on', $week->asString())->update(['closed_at' => null]);

        return redirect($this->address($week, 1, 0))->with('status', __('review.open_again'));
    }

    /** "Next time" becomes a rule. */
    public function rule(Request $request, #[CurrentUser] User $user, MakeRule $make): RedirectResponse
    {
        $rule = SlipRule::tryFrom($request->string('rule')->toString());
        if ($rule === null) {
            return back()->withErrors(['rule' => __('review.no_rule')]);
        }

        return back()->with($this->said->about($make($user, $rule, Clock::now()), __("review.rule.said.{$rule->value}")));
    }

    /** What the review asks of an area. */
    public function prompt(PromptRequest $request, Area $area): RedirectResponse
    {
        $area->update(['prompt' => $request->text()]);

        return back()->with('status', __('review.prompt_kept', ['area' => $area->name]));
    }

    /** A letter to whom one waits for; it is asked about again later. */
    public function nudge(LetterRequest $request, Task $task, #[CurrentUser] User $user, PostMail $post, TaskEdit $edit): RedirectResponse
    {
        $now = Clock::now();
        $post->letter($user, $request->string('to')->toString(), $request->string('subject')->toString(), $request->string('body')->toString(), $now);
        $this->askLater($user, $task, $edit, $now);

        return back()->with('status', __('review.nudged', ['person' => $task->waiting_for]));
    }

    public function later(Task $task, #[CurrentUser] User $user, TaskEdit $edit): RedirectResponse
    {
        return back()->with($this->said->about($this->askLater($user, $task, $edit, Clock::now()), __('review.later', ['title' => $task->title])));
    }

    /** Something for someday stays, seen. */
    public function keep(#[CurrentUser] User $user, string $date, Task $task): RedirectResponse
    {
        $now = Clock::now();
        ReviewEdit::keep(ReviewEdit::of($user, $this->week($user, $date, $now), $now), $task);

        return back()->with('status', __('review.kept', ['title' => $task->title]));
    }

    private function askLater(User $user, Task $task, TaskEdit $edit, CarbonImmutable $now): ?PlanRevision
    {
        return $edit->change($task->setRelation('user', $user), ['stage' => TaskStage::Waiting, 'ask_on' => Moments::today($user, $now)->plusDays($user->ask_after)->asString()], $now, RevisionCause::Sorted);
    }

    private function address(LocalDay $week, int $step, int $place): string
    {
        return "/review/{$week->asString()}?step={$step}".($place > 0 ? "&place={$place}" : '');
    }

    /** The first day of a week; without a date the last one until it is reviewed or the week has come half way. */
    private function week(User $user, ?string $date, CarbonImmutable $now): LocalDay
    {
        $day = AskedDay::of($user, $date, $now);
        $first = Weeks::first($user, $day);
        if ($date !== null || $day->number - $first->number > 2) {
            return $first;
        }
        $last = $first->plusDays(-7);

        $isNew = $user->entries()->where('starts_at', '<', Moments::moment(Zones::named($user->zone)->at($first, 0)))->doesntExist(); // nothing was done before

        return $isNew || $user->reviews()->where('week_on', $last->asString())->whereNotNull('closed_at')->exists() ? $first : $last;
    }
}
