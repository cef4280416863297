<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Block;
use App\Models\BlockState;
use App\Models\Entry;
use App\Time\Clock;
use Carbon\CarbonImmutable;
use Nekto\Core\Task\Importance;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Whatever happens while a day is worked through, by chance: the plan stays sound, and time is counted once. */
final class AnyDayTest extends FeatureTestCase
{
    private const STEPS = 16;

    private Randomizer $random;

    private CarbonImmutable $clock;

    #[Test]
    #[DataProvider('seeds')]
    public function the_plan_stays_sound_and_no_minute_is_counted_twice(int $seed): void
    {
        $this->random = new Randomizer(new Mt19937($seed));
        $this->meeting('Committee', '2026-03-11 11:00', '2026-03-11 12:00');
        for ($i = 0; $i < 8; $i++) {
            $this->task("Task {$i}", minutes: 15 * $this->random->getInt(1, 8), importance: Importance::from($this->random->getInt(1, 4)));
        }
        $this->post('/plan/lay-out');
        $this->clock = $this->utc('2026-03-11 08:55');

        $done = [];
        for ($i = 0; $i < self::STEPS; $i++) {
            $this->clock = $this->clock->addMinutes($this->random->getInt(1, 45));
            $this->at($this->clock->setTimezone('Europe/Lisbon')->format('Y-m-d H:i'));
            $this->get('/work')->assertOk();
            $done[] = $this->clock->format('H:i ').$this->act();
            $this->get('/shape')->assertOk();
            $this->assertSound(implode('; ', $done));
        }
    }

    /** @return array<string, array{int}> */
    public static function seeds(): array
    {
        $seeds = range(1, getenv('NEKTO_LONG') ? 9 : 5);

        return array_combine(array_map(static fn (int $seed): string => "seed {$seed}", $seeds), array_map(static fn (int $seed): array => [$seed], $seeds));
    }

    private function act(): string
    {
        $ahead = $this->ines->blocks()->where('state', BlockState::Planned)->where('ends_at', '>', $this->clock)->orderBy('starts_at')->limit(4)->get();
        if ($ahead->isEmpty()) {
            return 'nothing left';
        }
        $on = $ahead->first();
        $one = $ahead->get($this->random->getInt(0, $ahead->count() - 1)) ?? $on;
        [$address, $fields] = match ($this->random->getInt(0, 11)) {
            0, 1, 2 => ["/work/start/{$one->task_id}", ['block' => $one->id]],
            3 => ['/work/pause', []],
            4 => ['/work/rest', []],
            5, 6 => ["/work/blocks/{$on->id}/more", ['minutes' => 15 * $this->random->getInt(1, 4)]],
            7 => ["/blocks/{$on->id}/done", []],
            8 => ["/blocks/{$on->id}/part", ['left' => (string) (5 * $this->random->getInt(1, 12))]],
            9 => ["/work/blocks/{$on->id}/blocked", ['by' => 'Tomás']],
            10 => ["/blocks/{$one->id}/anchor", []],
            11 => ["/blocks/{$one->id}/split", []],
        };
        $this->post($address, $fields)->assertRedirect();

        return $address.' '.json_encode($fields, JSON_THROW_ON_ERROR);
    }

    private function assertSound(string $done): void
    {
        $blocks = $this->ines->blocks()->with('task')->where('state', BlockState::Planned)->where('ends_at', '>', $this->clock)->orderBy('starts_at')->orderBy('ends_at')->get()->values();
        foreach ($blocks as $i => $block) {
            $next = $blocks[$i + 1] ?? null;
            self::assertTrue($next === null || $next->starts_at >= $block->ends_at, "{$block->task->title} and {$next?->task->title} overlap after {$done}: ".implode(', ', $this->plan()));
        }
        foreach ($this->ines->tasks()->plannable()->get() as $task) {
            $planned = (int) $blocks->where('task_id', $task->id)->sum(static fn (Block $block): int => (int) $block->starts_at->diffInMinutes($block->ends_at));
            self::assertGreaterThanOrEqual($task->minutesLeft(Clock::now()), $planned, "all of {$task->title} has a place after {$done}: ".implode(', ', $this->plan()));
        }
        $entries = $this->ines->entries()->orderBy('starts_at')->orderBy('id')->get()->values();
        self::assertLessThanOrEqual(1, $entries->whereNull('ends_at')->count(), $done);
        foreach ($entries as $i => $entry) {
            $next = $entries[$i + 1] ?? null;
            self::assertTrue($next === null || ($entry->ends_at !== null && $next->starts_at >= $entry->ends_at), "minutes counted twice after {$done}: ".$entries->map(
                static fn (Entry $one): string => $one->starts_at->format('H:i').'–'.($one->ends_at?->format('H:i') ?? ''),
            )->implode(', '));
        }
    }
}
