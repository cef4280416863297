<?php

declare(strict_types=1);

namespace App\Screens\Shape;

use App\Edits\Change;
use App\Edits\ChangeKind;
use App\Edits\FreePlace;
use App\Edits\MakeChange;
use App\Models\Block;
use App\Models\BlockState;
use App\Models\Task;
use App\Models\User;
use App\Planning\Mend;
use App\Planning\ProblemLoader;
use App\Planning\Prospects;
use App\Planning\Trial;
use App\Rows\Candidate;
use App\Rows\Desk;
use App\Rows\Picks;
use App\Rows\RowMapper;
use App\Time\Moments;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Nekto\Core\Time\LocalDay;

/** The run sheet of a day, what it carries, and what else could be done. */
final readonly class ShapeScreen
{
    public function __construct(private Desk $desk, private Trial $trial, private MakeChange $make, private Mend $mend, private Prospects $prospects, private ProblemLoader $problems, private FreePlace $places) {}

    public function of(User $user, LocalDay $day, CarbonImmutable $now, ShapeAsk $ask): ShapePage
    {
        $today = Moments::today($user, $now);
        $time = $this->desk->timeFrom(new LocalDay(min($day->number, $today->number)));
        $span = $time->zone->day($day);
        [$slacks, $anew] = $this->prospects->kept($user, $now);
        $blocks = $this->desk->blocksOn($day);
        $candidates = $this->desk->open()->weighed();
        $chosen = $blocks->firstWhere('id', $ask->block);
        $picks = new Picks($user, $today);
        $untimed = $picks->withoutTime($day, $blocks, $now);
        $picked = $untimed->concat($blocks->map(static fn (Block $block): Task => $block->task)->filter(static fn (Task $task): bool => $picks->isFor($task, $day))->unique('id'));
        $keys = $picks->keys($picked, $day);
        $gauge = Gauge::of($time, $day, $blocks, $candidates, $now, $chosen, $untimed);
        $overfull = Overfull::of($time, $day, $blocks, $untimed, $candidates, $gauge, $now);
        $entries = $this->entries($user, $span->start, $span->end);
        $sheet = RunSheet::of($time, $day, $blocks, $slacks, $candidates, $entries, $now, $chosen, $keys, $ask->reserve, $ask->routine, $this->desk->lens());
        $proposes = $ask->propose || in_array($ask->morning, [MorningStep::Day, MorningStep::Wait], true) || ($ask->change === ChangeKind::Wait && $overfull === null);
        $change = match (true) {
            $ask->morning === MorningStep::Lay, $ask->change === ChangeKind::Picks => new Change(ChangeKind::Picks, $ask->picks, $ask->keys),
            $ask->change === ChangeKind::LayOut, $ask->change === ChangeKind::Mend => new Change($ask->change),
            $ask->change === ChangeKind::Way => $ask->way === null ? null : new Change(ChangeKind::Way, way: $ask->way),
            default => $ask->change === null ? null : $overfull?->change($ask->change),
        };

        $crunch = CrunchLine::of($this->desk, $candidates);
        $late = LateLine::among($this->desk, $this->desk->open()->all(), $slacks);

        return new ShapePage(
            user: $user,
            now: $now,
            day: $day,
            isToday: $day->equals($today),
            isPast: $day->number < $today->number,
            sheet: $sheet,
            gauge: $gauge,
            picked: $picked,
            keys: count($keys),
            overfull: $overfull,
            reserve: $ask->reserve === null ? null : collect($time->reserves)->firstWhere('id', $ask->reserve),
            difference: $change === null ? null : $this->difference($user, $day, $change, $blocks, $candidates, $sheet, $now),
            needsMending: $user->mend_asks && $this->mend->isNeeded($user, $now, $this->desk->time()),
            bank: Bank::of($this->desk, $this->desk->lens()->narrow($candidates), $blocks, $day, $ask->bank, $untimed, LateLine::named($late)),
            late: LateLine::of($this->desk, $late),
            wayWords: $change?->way === null ? null : CrunchWays::says($this->desk, $change->way),
            twoAtOnce: TwoAtOnce::on($this->desk, $day, $blocks, $this->places),
            crunch: $crunch,
            anew: $anew !== null && $anew->isOffered($user) ? $anew : null,
            ways: $ask->ways && $crunch !== null ? CrunchWays::of($this->desk, $this->problems, $crunch->point, $late[0]->count()) : null,
            proposal: $proposes ? ProposalPanel::of($this->desk, $day, $time, $candidates, $slacks) : null,
            morning: $ask->morning === null ? null : MorningRun::of($this->desk, $ask->morning, $day, $time, $candidates),
            invite: $user->morning_on !== $today->asString() && $entries->isEmpty(),
            ask: $ask,
            chosen: $chosen,
            place: WhyPlace::of($sheet, $gauge, $chosen),
            why: $chosen === null ? null : (new WhyHere($user, $now))->of($chosen, $candidates[$chosen->task_id] ?? null, $this->prospects->chances($user, $now)[$chosen->task_id] ?? null),
            chosenCandidate: $chosen === null ? null : $candidates[$chosen->task_id] ?? null,
            areas: $this->areaTotals($blocks),
        );
    }

    /**
     * @param  Collection<int, Block>  $blocks
     * @param  Collection<int, Candidate>  $candidates
     */
    private function difference(User $user, LocalDay $day, Change $change, Collection $blocks, Collection $candidates, RunSheet $sheet, CarbonImmutable $now): Difference
    {
        $tried = $this->trial->of($user, $day, $now, fn () => ($this->make)($user, $day, $change, $now));
        $gauge = Gauge::of($tried->time, $day, $tried->blocks, $candidates, $now, null, $tried->untimed);

        return Difference::of($this->desk, $change, $tried, $blocks, $candidates, $sheet->span, $gauge);
    }

    /** @return Collection<int, \App\Models\Entry> */
    private function entries(User $user, int $start, int $end): Collection
    {
        return $user->entries()->where('starts_at', '>=', Moments::moment($start))->where('starts_at', '<', Moments::moment($end))
            ->orderBy('starts_at')->get();
    }

    /**
     * @param  Collection<int, Block>  $blocks
     * @return array<int, array{name: string, hue: string, minutes: int}>
     */
    private function areaTotals(Collection $blocks): array
    {
        return $blocks->reject(static fn (Block $block): bool => $block->state === BlockState::Passed)
            ->groupBy(static fn (Block $block): int => $block->task->area_id)
            ->map(static fn (Collection $some): array => [
                'name' => $some[0]->task->area->name,
                'hue' => $some[0]->task->area->hue,
                'minutes' => $some->sum(static fn (Block $block): int => RowMapper::time($block)->length()),
            ])->sortByDesc('minutes')->values()->all();
    }
}
