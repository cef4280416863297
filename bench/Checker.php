<?php

declare(strict_types=1);

namespace Bench;

/**
 * Says what is wrong with a plan. It reads the two formats by itself and shares no code with the planner: every rule is
 * written down a second time here, the slow and obvious way, minute by minute.
 */
final class Checker
{
    private Days $days;

    /** @var array<string, array<string, mixed>> tasks and times of habits by id */
    private array $tasks = [];

    /** @var list<array{task: string, start: int, end: int}> by start */
    private array $blocks = [];

    /** @var array<string, int> */
    private array $placed = [];

    /** @var array<string, int> end of the last block */
    private array $finish = [];

    /** @var array<string, true> anchored and begun blocks */
    private array $fixed = [];

    /** @var list<string> */
    private array $faults = [];

    /** @param  array<string, mixed>  $problem  decoded */
    public function __construct(private readonly array $problem)
    {
        $this->days = new Days($problem);
        $last = [];
        foreach ($problem['tasks'] as $task) {
            $task += ['after' => [], 'demand' => 'light', 'minChunk' => 15, 'importance' => 2, 'due' => null, 'hard' => false, 'notBefore' => null];
            $task += ['maxChunk' => max(120, $task['minChunk'])];
            $project = $task['project'] ?? null;
            if ($project !== null && ($problem['projects'][$project] ?? '') === 'sequential') {
                isset($last[$project]) && $task['after'][] = $last[$project];
                $last[$project] = $task['id'];
            }
            $this->tasks[$task['id']] = $task;
        }
        foreach ([...$problem['anchored'], ...($problem['begun'] ?? [])] as $block) {
            $this->fixed[self::key($block['task'], Days::minute($block['start']), Days::minute($block['end']))] = true;
        }
    }

    /**
     * @param  array<string, mixed>  $plan  decoded
     * @return list<string> faults; none if the plan is valid
     */
    public function faults(array $plan): array
    {
        $this->faults = $this->blocks = $this->placed = $this->finish = [];
        foreach ($plan['blocks'] as $block) {
            $this->blocks[] = ['task' => $block['task'], 'start' => Days::minute($block['start']), 'end' => Days::minute($block['end'])];
        }
        usort($this->blocks, static fn (array $a, array $b): int => $a['start'] <=> $b['start']);
        $this->addHabits();
        $known = [];
        foreach ($this->blocks as $i => $block) {
            if (! isset($this->tasks[$block['task']])) {
                $this->say($block, 'belongs to no task');

                return $this->faults;
            }
            $known[self::key(...$block)] = true;
            $this->placed[$block['task']] = ($this->placed[$block['task']] ?? 0) + $block['end'] - $block['start'];
            $this->finish[$block['task']] = max($this->finish[$block['task']] ?? 0, $block['end']);
            $i > 0 && $this->blocks[$i - 1]['end'] > $block['start'] && $this->say($block, 'overlaps another');
        }
        foreach (array_diff_key($this->fixed, $known) as $key => $_) {
            $this->faults[] = "anchored block {$key} is missing";
        }
        foreach ($this->blocks as $block) {
            isset($this->fixed[self::key(...$block)]) || $this->checkBlock($block);
        }
        $this->checkMinutes($plan['unplaced']);
        $this->checkDays();
        $this->checkBreaks();
        $this->checkHabits();
        $this->checkBatches($plan['batches'] ?? []);

        return $this->faults;
    }

    /** The objective of the last plan that was checked, in minutes. */
    public function objective(): float
    {
        $sum = 0;
        foreach ($this->tasks as $id => $task) {
            if (isset($task['habit'])) {
                continue;
            }
            $missing = $task['minutes'] - ($this->placed[$id] ?? 0);
            $finish = $missing > 0 ? $this->days->end + $missing : $this->finish[$id];
            $due = $task['due'] === null ? PHP_INT_MAX : $this->days->due($task['due'], $task['hours']);
            $sum += 20 * ($this->problem['pieceMinutes'] ?? 0) * $this->pieces($id);
            $sum += 2 ** ($task['importance'] - 1) * (20 * ($task['hard'] ? 10 : 1) * max(0, $finish - $due) + $finish - $this->days->now);
        }

        return $sum / 20;
    }

    /** Pieces of a task after its first that planning laid; those on another day than the one before count twice. */
    private function pieces(string $id): int
    {
        $mine = array_values(array_filter($this->blocks, fn (array $block): bool => $block['task'] === $id && ! isset($this->fixed[self::key(...$block)])));
        $pieces = 0;
        for ($i = 1; $i < count($mine); $i++) {
            $pieces += $this->days->date($mine[$i]['start']) === $this->days->date($mine[$i - 1]['start']) ? 1 : 2;
        }

        return $pieces;
    }

    /** Minutes of the last plan at which the same task is no longer planned. */
    public function moved(): int
    {
        $at = [];
        foreach ($this->blocks as $block) {
            for ($minute = $block['start']; $minute < $block['end']; $minute++) {
                $at[$block['task']][$minute] = true;
            }
        }
        $moved = 0;
        foreach ($this->problem['previous'] as $block) {
            for ($minute = max($this->days->now, Days::minute($block['start'])); $minute < Days::minute($block['end']); $minute++) {
                $moved += isset($this->tasks[$block['task']]) && ! isset($at[$block['task']][$minute]) ? 1 : 0;
            }
        }

        return $moved;
    }

    /** @param  array{task: string, start: int, end: int}  $block */
    private function checkBlock(array $block): void
    {
        $task = $this->tasks[$block['task']];
        $days = $this->days;
        $block['start'] >= $days->first || $this->say($block, 'begins in the past');
        $block['end'] <= $days->end || $this->say($block, 'ends after the horizon');
        $days->isOnGrid($block['start']) && $days->isOnGrid($block['end']) || $this->say($block, 'is off the grid');
        $days->isOpen($task['hours'], $block['start'], $block['end']) || $this->say($block, 'lies outside its hours');
        $days->isBusy($block['start'], $block['end']) && $this->say($block, 'lies in busy or reserved time');
        $task['demand'] === 'light' && $days->isForDeepWork($block['start'], $block['end']) && $this->say($block, 'is light and lies in deep time');
        isset($task['part']) && ! $days->isInPart($task['part'], $block['start'], $block['end']) && $this->say($block, 'leaves its part of the day');
        ($task['waiting'] ?? false) && $this->say($block, 'waits for an answer');
        $task['notBefore'] === null || $block['start'] >= $days->start($task['notBefore']) || $this->say($block, 'begins before its earliest start');
        if ($block['start'] < $days->frozenUntil && ! $this->isPrevious($block)) {
            $this->say($block, 'is new where the plan is frozen');
        }
        $fixed = 0;
        $run = [$block['start'], $block['end']];
        foreach ([...$this->blocks, ...array_reverse($this->blocks)] as $other) {
            if ($other['task'] === $block['task'] && $other['start'] <= $run[1] && $other['end'] >= $run[0]) {
                $run = [min($run[0], $other['start']), max($run[1], $other['end'])];
            }
        }
        foreach ($this->blocks as $other) {
            $fixed += $other['task'] === $block['task'] && isset($this->fixed[self::key(...$other)]) ? $other['end'] - $other['start'] : 0;
        }
        min($task['minChunk'], $task['minutes'] - $fixed) <= $block['end'] - $block['start'] || $this->say($block, 'is too short');
        $task['maxChunk'] >= $run[1] - $run[0] || $this->say($block, 'is too long with what touches it');
        foreach ($task['after'] as $before) {
            $whole = ($this->placed[$before] ?? 0) >= $this->tasks[$before]['minutes'];
            $whole && $this->finish[$before] <= $block['start'] || $this->say($block, "begins before {$before} is finished");
        }
    }

    /** @param  list<array{task: string, minutes: int}>  $unplaced */
    private function checkMinutes(array $unplaced): void
    {
        $missing = array_column($unplaced, 'minutes', 'task');
        foreach ($this->tasks as $id => $task) {
            $placed = $this->placed[$id] ?? 0;
            $fixed = 0;
            foreach ($this->blocks as $block) {
                $fixed += $block['task'] === $id && isset($this->fixed[self::key(...$block)]) ? $block['end'] - $block['start'] : 0;
            }
            $placed <= max($task['minutes'], $fixed) || $this->faults[] = "{$id} has more than its minutes";
            max(0, $task['minutes'] - $placed) === ($missing[$id] ?? 0) || $this->faults[] = "{$id} lacks other minutes than it says";
        }
    }

    private function checkDays(): void
    {
        $used = [];
        foreach ($this->blocks as $block) {
            if (isset($this->fixed[self::key(...$block)])) {
                continue;
            }
            $task = $this->tasks[$block['task']];
            foreach (array_filter(['dayMinutes', $task['demand'] === 'deep' ? 'deepMinutes' : null, "hours {$task['hours']}"]) as $kind) {
                for ($minute = $block['start']; $minute < $block['end']; $minute++) {
                    $date = $this->days->date($minute);
                    $used[$kind][$date] = ($used[$kind][$date] ?? 0) + 1;
                }
            }
        }
        foreach ($used as $kind => $dates) {
            foreach ($dates as $date => $minutes) {
                $minutes <= $this->limit($kind, $date) || $this->faults[] = "{$date}: {$minutes} min are over {$kind}";
            }
        }
    }

    private function limit(string $kind, string $date): int
    {
        $limits = $this->problem['limits'];
        if (str_starts_with($kind, 'hours ')) {
            $set = $limits['hours'][substr($kind, 6)] ?? [];

            return $set['days'][$date] ?? $set['minutes'] ?? PHP_INT_MAX;
        }

        return $limits['days'][$date][$kind] ?? $limits[$kind] ?? PHP_INT_MAX;
    }

    /** No more work in a row than is wanted; a gap shorter than a break is no break, unless something else fills it. */
    private function checkBreaks(): void
    {
        $rule = $this->problem['breaks'] ?? null;
        $run = null;
        foreach ($rule === null ? [] : $this->blocks as $block) {
            $fixed = isset($this->fixed[self::key(...$block)]);
            $joined = $run !== null && $rule['minutes'] > $block['start'] - $run['end'] && $this->days->isWorkable($run['end'], $block['start']);
            $run = $joined ? ['start' => $run['start'], 'end' => $block['end'], 'fixed' => $run['fixed'] || $fixed]
                : ['start' => $block['start'], 'end' => $block['end'], 'fixed' => $fixed];
            $run['fixed'] || $rule['after'] >= $run['end'] - $run['start'] || $this->say($block, 'needs a break before it');
        }
    }

    /** Makes tasks of the blocks of habits, so that the same rules hold for them. */
    private function addHabits(): void
    {
        foreach ($this->problem['habits'] ?? [] as $habit) {
            foreach ($this->blocks as $block) {
                if (str_starts_with($block['task'], $habit['id'].'#')) {
                    $this->tasks[$block['task']] = [
                        'id' => $block['task'], 'habit' => $habit['id'], 'minutes' => $habit['minutes'], 'minChunk' => $habit['minutes'], 'maxChunk' => $habit['minutes'],
                        'hours' => $habit['hours'], 'part' => $habit['part'] ?? null, 'after' => [], 'demand' => 'light', 'notBefore' => null,
                    ];
                }
            }
        }
    }

    private function checkHabits(): void
    {
        foreach ($this->problem['habits'] ?? [] as $habit) {
            $days = array_fill_keys($habit['done'] ?? [], 1);
            foreach ($this->blocks as $block) {
                if (($this->tasks[$block['task']]['habit'] ?? null) === $habit['id']) {
                    $days[$this->days->date($block['start'])] = ($days[$this->days->date($block['start'])] ?? 0) + 1;
                }
            }
            $weeks = [];
            foreach ($days as $date => $times) {
                $week = (new \DateTimeImmutable($date))->format('o-W');
                $weeks[$week] = ($weeks[$week] ?? 0) + 1;
                $times === 1 || $this->faults[] = "{$habit['id']} is done {$times} times on {$date}";
            }
            foreach ($weeks as $week => $times) {
                $times <= $habit['times'] || $this->faults[] = "{$habit['id']} is done on {$times} days of {$week}";
            }
        }
    }

    /** @param  list<array{context: string, start: string, end: string, tasks: list<string>}>  $batches */
    private function checkBatches(array $batches): void
    {
        $rule = $this->problem['batches'] ?? null;
        foreach ($batches as $batch) {
            $minutes = 0;
            $at = Days::minute($batch['start']);
            foreach ($batch['tasks'] as $id) {
                $task = $this->tasks[$id];
                $minutes += $task['minutes'];
                $at += $task['minutes'];
                ($task['context'] ?? null) === $batch['context'] && $task['demand'] === 'light' && $task['minutes'] <= ($rule['small'] ?? 0)
                    || $this->faults[] = "{$id} does not belong into a batch {$batch['context']}";
                $this->finish[$id] === $at || $this->faults[] = "{$id} does not lie where its batch does";
            }
            $at === Days::minute($batch['end']) && $minutes <= ($rule['minutes'] ?? 0) || $this->faults[] = "batch {$batch['context']} is not as long as it says or may be";
        }
    }

    /** @param  array{task: string, start: int, end: int}  $block */
    private function isPrevious(array $block): bool
    {
        foreach ($this->problem['previous'] as $other) {
            if ($other['task'] === $block['task'] && Days::minute($other['start']) === $block['start'] && Days::minute($other['end']) === $block['end']) {
                return true;
            }
        }

        return false;
    }

    private static function key(string $task, int $start, int $end): string
    {
        return "{$task} ".Days::text($start).' to '.Days::text($end);
    }

    /** @param  array{task: string, start: int, end: int}  $block */
    private function say(array $block, string $what): void
    {
        $this->faults[] = self::key(...$block).' '.$what;
    }
}
