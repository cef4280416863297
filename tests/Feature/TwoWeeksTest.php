<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Block;
use App\Models\BlockState;
use App\Models\Task;
use App\Planning\Prospects;
use App\Time\Clock;
use App\Time\Moments;
use Carbon\CarbonImmutable;
use Nekto\Core\Task\Importance;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Two weeks lived by chance; after each act the books are checked, each figure reckoned again by hand. */
final class TwoWeeksTest extends FeatureTestCase
{
    private const ACTS_A_DAY = 5;

    private Randomizer $random;

    private CarbonImmutable $clock;

    /** @var array<string, string> promises by date, as they were first written */
    private array $promised = [];

    #[Test]
    #[DataProvider('seeds')]
    public function the_books_balance_whatever_happens(int $seed): void
    {
        $this->random = new Randomizer(new Mt19937($seed));
        $this->clock = $this->utc('2026-03-09 08:50');
        Clock::set($this->clock->toIso8601String());
        for ($i = 0; $i < 14; $i++) {
            $due = $this->random->getInt(0, 12);
            $this->task("Task {$i}", 15 * $this->random->getInt(1, 14), Importance::from($this->random->getInt(1, 4)), $due > 9 ? null : $this->utc('2026-03-09')->addDays($due)->format('Y-m-d'), deep: $i % 3 === 0);
        }
        $this->post('/plan/lay-out');
        $done = [];
        for ($day = 0; $day < 14; $day++) {
            $this->clock = $this->utc('2026-03-09 08:50')->addDays($day);
            for ($i = 0; $i < self::ACTS_A_DAY; $i++) {
                $this->clock = $this->clock->addMinutes(5 * $this->random->getInt(1, 24));
                Clock::set($this->clock->toIso8601String());
                $this->artisan('nekto:minute')->assertExitCode(0);
                $done[] = $this->ines->local($this->clock)->format('D j H:i').' '.$this->act();
                $this->assertBooks(implode('; ', array_slice($done, -6)));
            }
        }
    }

    /** @return array<string, array{int}> */
    public static function seeds(): array
    {
        $seeds = getenv('NEKTO_LONG') === '1' ? [...range(1, 6), (int) (getenv('ERIS_SEED') ?: 7)] : [1, 3];

        return array_combine(array_map(static fn (int $seed): string => "seed {$seed}", $seeds), array_map(static fn (int $seed): array => [$seed], $seeds));
    }

    private function act(): string
    {
        $ahead = $this->ines->blocks()->planned()->where('ends_at', '>', $this->clock)->orderBy('starts_at')->limit(6)->get()->values();
        $one = $ahead->get($this->random->getInt(0, max(0, $ahead->count() - 1)));
        if ($one === null) {
            $this->task('New '.$this->clock->format('d H:i'), 60);
            $this->post('/plan/lay-out');

            return 'new work';
        }
        $entry = $this->ines->entries()->whereNotNull('ends_at')->latest('id')->first();
        $local = $entry === null ? null : $this->ines->local($entry->starts_at);
        [$method, $address, $fields] = match ($this->random->getInt(0, 15)) {
            0, 1, 2, 3 => ['post', "/work/start/{$one->task_id}", ['block' => $one->id]],
            4 => ['post', '/work/pause', []],
            5 => ['post', '/work/rest', []],
            6 => ['post', "/work/blocks/{$one->id}/more", ['minutes' => 30]],
            7 => ['post', "/blocks/{$one->id}/done", []],
            8 => ['post', "/blocks/{$one->id}/part", ['left' => (string) (5 * $this->random->getInt(1, 12))]],
            9 => ['post', "/blocks/{$one->id}/send", ['to' => 'tomorrow', 'late' => '1']],
            10 => ['patch', "/tasks/{$one->task_id}", ['estimate' => (15 * $this->random->getInt(1, 10)).' min']],
            11 => ['patch', "/tasks/{$one->task_id}", ['left' => (5 * $this->random->getInt(1, 20)).' min']],
            12 => ['post', '/plan/undo', []],
            13 => ['post', '/tasks/sort', ['ids' => [$one->task_id], 'to' => 'done']],
            14 => $entry === null || $local === null ? ['post', '/work/pause', []] : ['patch', "/work/entries/{$entry->id}", ['day' => $local->format('Y-m-d'), 'from' => $local->subMinutes(5)->format('H:i'), 'to' => $this->ines->local($entry->ends_at ?? $this->clock)->format('H:i')]],
            15 => ['post', '/close', ['date' => $this->ines->local($this->clock)->format('Y-m-d'), 'close' => 1]],
        };
        $this->{$method}($address, $fields)->assertRedirect();

        return "{$method} {$address} ".json_encode($fields, JSON_THROW_ON_ERROR);
    }

    private function assertBooks(string $done): void
    {
        $shape = (string) $this->get('/shape')->assertOk()->getContent(); // as in use, the page is looked at
        $tasks = $this->ines->tasks()->plannable()->get();
        foreach ($tasks as $task) {
            self::assertSame($this->left($task), $task->minutesLeft($this->clock), "left of {$task->title} after {$done}");
        }
        foreach ($this->ines->promises()->get() as $promise) {
            $this->promised[$promise->date] ??= json_encode($promise->tasks, JSON_THROW_ON_ERROR);
            self::assertSame($this->promised[$promise->date], json_encode($promise->tasks, JSON_THROW_ON_ERROR), "the promise of {$promise->date} after {$done}");
        }
        self::assertSame($this->laidOutToday(), self::number('/data-planned="(\d+)"/', $shape), "the gauge after {$done}");
        $pieces = preg_match_all('/class="gauge-piece [^"]*state-(?:planned|done|part)[^"]*"[^>]*>\s*<span class="name">[^<]*<\/span><b>(\d+)<\/b>/', $shape, $found) ? array_sum(array_map(intval(...), $found[1])) : 0;
        self::assertSame($this->laidOutToday(), $pieces, "the gauge's pieces after {$done}");
        $this->assertLateIsNamed($tasks->all(), $shape, $done);
        $this->assertSlackHolds($done);
    }

    /** What was said, less each whole minute of work since. */
    private function left(Task $task): int
    {
        $worked = 0;
        foreach ($this->ines->entries()->where('task_id', $task->id)->where('break', false)->get() as $entry) {
            $from = max($entry->starts_at->getTimestamp(), $task->said_at?->getTimestamp() ?? 0);
            $worked += max(0, intdiv((($entry->ends_at ?? $this->clock)->getTimestamp()) - $from, 60));
        }

        return max(0, (int) $task->said - $worked);
    }

    private function laidOutToday(): int
    {
        $day = $this->ines->local($this->clock)->format('Y-m-d');

        return (int) $this->ines->blocks()->where('state', '!=', BlockState::Passed)->where('anchored', false)->get()
            ->filter(fn (Block $block): bool => $this->ines->local($block->starts_at)->format('Y-m-d') === $day)
            ->sum(static fn (Block $block): float => $block->starts_at->diffInMinutes($block->ends_at));
    }

    /** @param  array<Task>  $tasks */
    private function assertLateIsNamed(array $tasks, string $shape, string $done): void
    {
        preg_match('/<p class="late-line">(.*?)<\/p>/s', $shape, $line);
        $said = html_entity_decode($line[1] ?? '');
        $late = $overdue = [];
        foreach ($tasks as $task) {
            $due = $task->due_on === null ? null : $this->ines->local($this->utc("{$task->due_on} ".(in_array(CarbonImmutable::parse($task->due_on)->dayOfWeekIso, [6, 7], true) ? '23:59:59' : '17:30')));
            $end = $task->blocks()->planned()->max('ends_at');
            if ($due !== null && $due <= $this->clock) {
                $overdue[] = $task->title;
            } elseif ($due !== null && ($end === null || CarbonImmutable::parse((string) $end, 'UTC') > $due)) {
                $late[] = $task->title;
            }
        }
        $count = preg_match('/(One|\d+) tasks? will be late/', $said, $found) === 1 ? ($found[1] === 'One' ? 1 : (int) $found[1]) : 0;
        self::assertGreaterThanOrEqual(count($late), $count, 'late: '.implode(', ', $late)." after {$done}; said: {$said}");
        if (count($late) > 0 && count($late) <= 3 && $count === count($late)) {
            foreach ($late as $title) {
                self::assertStringContainsString($title, $said, $done);
            }
        }
        self::assertSame($overdue === [], ! str_contains($said, 'overdue'), 'overdue: '.implode(', ', $overdue)." after {$done}; said: {$said}");
    }

    /** Every block at its latest start keeps its task's due date, and no two of them meet. */
    private function assertSlackHolds(string $done): void
    {
        $slacks = app(Prospects::class)->slacks($this->ines, $this->clock);
        $times = [];
        foreach ($this->ines->blocks()->planned()->where('ends_at', '>', $this->clock)->get() as $block) {
            $slack = $slacks->of($block->task_id, Moments::minute($block->starts_at));
            $start = $slack === null ? Moments::minute($block->starts_at) : $slack->latestStart;
            $times[] = [$start, $start + (int) $block->starts_at->diffInMinutes($block->ends_at), $block->task_id];
        }
        usort($times, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
        foreach ($times as $i => [, $end, $task]) {
            self::assertTrue(! isset($times[$i + 1]) || $times[$i + 1][0] >= $end, "task {$task} at its latest start meets what follows, after {$done}");
        }
    }

    private static function number(string $pattern, string $text): int
    {
        return preg_match($pattern, $text, $found) === 1 ? (int) $found[1] : -1;
    }
}
