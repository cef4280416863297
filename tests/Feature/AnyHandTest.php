<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Block;
use App\Models\BlockState;
use App\Time\Clock;
use Illuminate\Support\Facades\DB;
use Nekto\Core\Task\Importance;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Whatever a hand does to a plan, in whatever order: no two blocks overlap, no work is lost, and undo goes all the way back. */
final class AnyHandTest extends FeatureTestCase
{
    private const STEPS = 9;

    private Randomizer $random;

    #[Test]
    #[DataProvider('seeds')]
    public function the_plan_stays_sound_and_undo_leads_back_to_the_beginning(int $seed): void
    {
        $this->random = new Randomizer(new Mt19937($seed));
        $this->meeting('Committee', '2026-03-11 11:00', '2026-03-11 12:00');
        for ($i = 0; $i < 9; $i++) {
            $this->task("Task {$i}", minutes: 15 * $this->random->getInt(1, 16), importance: Importance::from($this->random->getInt(1, 4)), dueOn: $i % 3 === 0 ? '2026-03-13' : null);
        }
        $this->post('/plan/lay-out');
        $this->at('2026-03-11 09:20');
        $this->get('/shape');
        $before = $this->rows();
        $revisions = $this->ines->planRevisions()->count();

        $done = [];
        for ($i = 0; $i < self::STEPS; $i++) {
            $done[] = $this->act();
            $this->assertSound(implode('; ', $done));
        }
        while ($this->ines->planRevisions()->whereNull('undone_at')->count() > $revisions) {
            $this->post('/plan/undo');
        }

        self::assertSame($before, $this->rows(), implode('; ', $done));
    }

    /** @return array<string, array{int}> */
    public static function seeds(): array
    {
        $seeds = range(1, getenv('NEKTO_LONG') ? 12 : 7);

        return array_combine(array_map(static fn (int $seed): string => "seed {$seed}", $seeds), array_map(static fn (int $seed): array => [$seed], $seeds));
    }

    /** Does one thing by chance; a refusal with a reason is as good as a change. */
    private function act(): string
    {
        $block = $this->ines->blocks()->where('state', BlockState::Planned)->where('ends_at', '>', $this->utc('2026-03-11 09:20'))->orderBy('starts_at')->orderBy('id')->with('task')->limit(8)->get()->values();
        if ($block->isEmpty()) {
            return 'nothing left';
        }
        $one = $this->oneOf($block);
        $other = $this->oneOf($block);
        $reserve = $this->ines->reserves()->orderBy('id')->first();
        [$address, $fields] = match ($this->random->getInt(0, 14)) {
            0, 1 => ["/blocks/{$one->id}", ['_method' => 'PATCH', 'day' => $this->day(), 'start' => $this->clock(), 'minutes' => 15 * $this->random->getInt(1, 6)]],
            2 => ["/blocks/{$one->id}/split", ['first' => 5 * $this->random->getInt(0, 12)]],
            3 => ["/blocks/{$one->id}/join", []],
            4 => ["/blocks/{$one->id}/swap", ['with' => $other->id]],
            5 => ["/blocks/{$one->id}/send", ['to' => $this->random->getInt(0, 1) === 0 ? 'tomorrow' : 'bank']],
            6 => ["/blocks/{$one->id}/send", ['to' => 'day', 'day' => $this->day()]],
            7 => ['/reserves', ['title' => 'Kept', 'day' => $this->day(), 'start' => $this->clock(), 'minutes' => 15 * $this->random->getInt(1, 4)]],
            8 => $reserve === null ? ["/blocks/{$one->id}/anchor", []] : ["/reserves/{$reserve->id}/tasks", ['task' => $one->task_id]],
            9 => ["/blocks/{$one->id}/".($one->anchored ? 'release' : 'anchor'), []],
            10 => ["/tasks/{$one->task_id}/place", ['day' => $this->day()]],
            11 => ['/plan/change', ['kind' => 'wait', 'day' => '2026-03-11', 'tasks' => [$one->task_id]]],
            12 => ['/plan/end-day', []],
            13 => ["/tasks/{$one->task_id}/key", ['key' => (int) ! $one->task->key, 'day' => $this->day()]],
            14 => ['/plan/pick', ['day' => $this->day(), 'picks' => [$one->task_id, $other->task_id], 'keys' => [$other->task_id]]],
        };
        $this->post($address, $fields)->assertRedirect();

        return $address.' '.json_encode($fields, JSON_THROW_ON_ERROR);
    }

    private function assertSound(string $done): void
    {
        $blocks = $this->ines->blocks()->with('task')->where('state', BlockState::Planned)->orderBy('starts_at')->orderBy('ends_at')->get()->values();
        $planned = [];
        foreach ($blocks as $i => $block) {
            self::assertLessThan($block->ends_at->getTimestamp(), $block->starts_at->getTimestamp(), $done);
            $next = $blocks[$i + 1] ?? null;
            self::assertTrue($next === null || $next->starts_at >= $block->ends_at, "{$block->task->title} and {$next?->task->title} overlap after {$done}: ".implode(', ', $this->plan()));
            $planned[$block->task_id] = ($planned[$block->task_id] ?? 0) + (int) $block->starts_at->diffInMinutes($block->ends_at);
        }
        foreach ($this->ines->tasks()->plannable()->get() as $task) {
            self::assertLessThanOrEqual($task->minutesLeft(Clock::now()), $planned[$task->id] ?? 0, "{$task->title} after {$done}: ".implode(', ', $this->plan()));
            self::assertGreaterThanOrEqual($task->minutesLeft(Clock::now()), $planned[$task->id] ?? 0, "all of {$task->title} has a place after {$done}: ".implode(', ', $this->plan()));
        }
    }

    /** @return array<string, list<array<string, mixed>>> */
    private function rows(): array
    {
        $rows = [];
        foreach (['tasks', 'blocks', 'reserves', 'early_ends', 'entries'] as $table) {
            $rows[$table] = DB::table($table)->orderBy('id')->get()->map(static fn (object $row): array => array_diff_key((array) $row, ['updated_at' => 0]))->all();
        }

        return $rows;
    }

    /** @param  \Illuminate\Support\Collection<int, Block>  $blocks */
    private function oneOf(\Illuminate\Support\Collection $blocks): Block
    {
        return $blocks[$this->random->getInt(0, $blocks->count() - 1)] ?? self::fail('There is one.');
    }

    private function day(): string
    {
        return ['2026-03-11', '2026-03-12', '2026-03-13'][$this->random->getInt(0, 2)];
    }

    private function clock(): string
    {
        return sprintf('%02d:%02d', $this->random->getInt(9, 16), 5 * $this->random->getInt(0, 11));
    }
}
