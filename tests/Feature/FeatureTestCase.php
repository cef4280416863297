<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Accounts\OpenAccount;
use App\Calendars\Calendars;
use App\Models\Block;
use App\Models\Task;
use App\Models\TaskStage;
use App\Models\User;
use App\Time\Clock;
use Carbon\CarbonImmutable;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Nekto\Core\Task\Importance;
use Tests\TestCase;

/** A person in Lisbon with office hours 09:00–17:30 and lunch 12:30–13:15, on Wednesday 11 March 2026 at 08:00. */
abstract class FeatureTestCase extends TestCase
{
    use RefreshDatabase;

    protected User $ines;

    protected function setUp(): void
    {
        parent::setUp();
        $this->at('2026-03-11 08:00');
        $this->ines = $this->person('moura@example.org');
        $this->actingAs($this->ines);
    }

    /** Moves the clock; the time is Lisbon's, which is UTC until 29 March. */
    protected function at(string $time): void
    {
        Clock::set(CarbonImmutable::parse($time, 'Europe/Lisbon')->toIso8601String());
    }

    protected function person(string $email): User
    {
        return (new OpenAccount)('Ines Moura', $email, 'rivers-underfoot', 'Europe/Lisbon')->refresh();
    }

    protected function task(
        string $title,
        int $minutes = 60,
        Importance $importance = Importance::Medium,
        ?string $dueOn = null,
        bool $deep = false,
        ?User $of = null,
    ): Task {
        $user = $of ?? $this->ines;

        return $user->tasks()->create([
            'title' => $title, 'area_id' => $user->areas()->firstOrFail()->id, 'stage' => TaskStage::Open, 'importance' => $importance,
            'estimate' => $minutes, 'said' => $minutes, 'due_on' => $dueOn, 'demand' => $deep ? 'deep' : 'light',
        ])->refresh();
    }

    protected function block(Task $task, string $from, string $to, bool $anchored = false): Block
    {
        $block = $task->blocks()->make(['starts_at' => $this->utc($from), 'ends_at' => $this->utc($to), 'anchored' => $anchored]);
        $block->user_id = $task->user_id;
        $block->save();

        return $block->refresh();
    }

    protected function meeting(string $summary, string $from, string $to, ?User $of = null): void
    {
        $user = $of ?? $this->ines;
        $meeting = $user->meetings()->create(['calendar_id' => Calendars::here($user)->id, 'uid' => $summary, 'summary' => $summary, 'source' => '']);
        $meeting->occurrences()->create(['user_id' => $user->id, 'summary' => $summary, 'starts_at' => $this->utc($from), 'ends_at' => $this->utc($to)]);
    }

    /** @return list<string> as "Wed 09:00–10:00 Courier quotes", anchored ones with "!", what is over with its state */
    protected function plan(?User $of = null): array
    {
        return array_values(($of ?? $this->ines)->blocks()->with('task')->orderBy('starts_at')->get()->map(static fn (Block $block): string => sprintf(
            '%s–%s %s%s%s',
            $block->starts_at->setTimezone('Europe/Lisbon')->format('D H:i'),
            $block->ends_at->setTimezone('Europe/Lisbon')->format('H:i'),
            $block->task->title,
            $block->anchored ? '!' : '',
            $block->state->value === 'planned' ? '' : " ({$block->state->value})",
        ))->all());
    }

    protected function utc(string $time): CarbonImmutable
    {
        return CarbonImmutable::parse($time, 'Europe/Lisbon')->utc();
    }
}
