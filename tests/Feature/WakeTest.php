<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\PlanRevision;
use App\Models\User;
use App\Time\Clock;
use App\Undo\Thin;
use Illuminate\Support\Facades\DB;
use Nekto\Core\Task\Importance;
use PHPUnit\Framework\Attributes\Test;

/** The minute's work goes to the accounts for which something may have come up, and misses nothing by that. */
final class WakeTest extends FeatureTestCase
{
    #[Test]
    public function where_nothing_can_have_happened_nobody_looks(): void
    {
        $this->at('2026-03-11 10:00');
        $this->minute();
        self::assertSame('2026-03-11 10:00:00', $this->lookedAfter());
        foreach (['10:01', '10:07', '10:14'] as $time) {
            $this->at("2026-03-11 {$time}");
            $this->minute();
        }
        self::assertSame('2026-03-11 10:00:00', $this->lookedAfter());
        $this->get('/shape')->assertOk();
        self::assertSame('2026-03-11 10:00:00', $this->lookedAfter(), 'no page does it either');
        $this->at('2026-03-11 10:15');
        $this->minute();
        self::assertSame('2026-03-11 10:15:00', $this->lookedAfter(), 'at the latest after a quarter of an hour');
    }

    #[Test]
    public function a_change_a_block_that_is_over_and_a_running_clock_wake_it(): void
    {
        $this->at('2026-03-11 10:00');
        $task = $this->task('Quotes');
        $this->block($task, '2026-03-11 10:30', '2026-03-11 10:50');
        $this->minute();
        $this->minute();
        foreach (['10:01' => false, '10:25' => true, '10:26' => false, '10:30' => true, '10:31' => false, '10:49' => true, '10:50' => true] as $time => $isLooked) {
            $this->at("2026-03-11 {$time}");
            DB::table('changes')->where('wakes_at', '>', Clock::now())->where('looked_count', '<', DB::raw('count'))->update(['looked_count' => DB::raw('count')]); // what the last look itself has changed
            $this->minute();
            $time === '10:49' || self::assertSame($isLooked, $this->lookedAfter() === "2026-03-11 {$time}:00", $time);
        }
        self::assertNotSame(['Wed 10:30–10:50 Quotes'], $this->plan(), 'it was mended in the minute in which it was over');

        $this->at('2026-03-11 10:52');
        $this->task('Another');
        $this->minute();
        self::assertSame('2026-03-11 10:52:00', $this->lookedAfter());
        $this->post("/work/start/{$task->id}");
        foreach (['10:53', '10:54', '10:55'] as $time) {
            $this->at("2026-03-11 {$time}");
            $this->minute();
            self::assertSame("2026-03-11 {$time}:00", $this->lookedAfter());
        }
    }

    /** Every minute from half past eight to a quarter past one, in two accounts that are the same: one is looked after each minute, the other when it wakes. */
    #[Test]
    public function a_day_that_is_only_looked_at_when_it_wakes_is_the_same_day(): void
    {
        $this->at('2026-03-11 08:00');
        $each = $this->person('each@example.org');
        foreach ([$this->ines, $each] as $user) {
            $user->update(['remind_mail' => true, 'close_at' => 760]);
            $this->block($this->task('Essay', 60, Importance::High, of: $user), '2026-03-11 09:00', '2026-03-11 10:00');
            $this->block($this->task('Quotes', 30, of: $user), '2026-03-11 10:00', '2026-03-11 10:30');
            $this->block($this->task('Anchored', 30, of: $user), '2026-03-11 11:07', '2026-03-11 11:37', anchored: true);
            $this->task('Due', of: $user)->update(['due_at' => $this->utc('2026-03-11 12:43')]);
            $this->task('Waits', of: $user)->update(['stage' => 'waiting', 'waiting_for' => 'Wim', 'waiting_since' => '2026-03-09', 'ask_on' => '2026-03-11']);
            $this->meeting('Committee', '2026-03-11 10:10', '2026-03-11 10:40', $user);
        }
        $looks = 0;
        for ($minute = 0; $minute < 285; $minute++) {
            $this->at(sprintf('2026-03-11 %02d:%02d', intdiv(510 + $minute, 60), (510 + $minute) % 60));
            DB::table('changes')->where('user_id', $each->id)->update(['wakes_at' => null]);
            $this->minute();
            $looks += (int) ($this->lookedAfter() === Clock::now()->toDateTimeString());
        }
        $facts = fn (User $user): array => [
            $this->plan($user), $user->reminders()->orderBy('at')->orderBy('title')->get()->map(static fn ($one): string => "{$one->title} {$one->at} {$one->mailed_at}")->all(),
            $user->outboxMails()->orderBy('sent_at')->orderBy('subject')->get()->map(static fn ($one): string => "{$one->subject} {$one->sent_at}")->all(), $user->promises()->pluck('taken_at')->map(strval(...))->all(),
            $user->tasks()->orderBy('title')->get()->map(static fn ($one): string => "{$one->title} {$one->stage->value} {$one->carried}")->all(),
            $user->planRevisions()->orderBy('id')->get()->map(static fn ($one): string => "{$one->cause->value} {$one->made_at}")->all(),
        ];
        self::assertSame($facts($each), $facts($this->ines->refresh()));
        self::assertGreaterThan(3, count($facts($each)[1]), 'there was something to be missed');
        self::assertLessThan(70, $looks);
    }

    #[Test]
    public function changes_older_than_the_setting_go_a_few_at_a_time(): void
    {
        config(['nekto.revision_days' => 30]);
        $old = static fn (int $days): array => ['cause' => 'changed', 'moves' => '[]', 'late' => '[]', 'rows' => '[]', 'made_at' => now()->subDays($days)];
        DB::table('plan_revisions')->insert([...array_fill(0, 520, ['user_id' => $this->ines->id] + $old(31)), ['user_id' => $this->ines->id] + $old(29)]);
        self::assertSame([500, 20, 0], [Thin::some(Clock::now()), Thin::some(Clock::now()), Thin::some(Clock::now())]);
        self::assertSame(1, PlanRevision::query()->count());
        $this->get('/shape')->assertOk();
        $this->post('/plan/undo')->assertRedirect();
    }

    private function minute(): void
    {
        $this->artisan('nekto:minute')->assertSuccessful();
    }

    private function lookedAfter(): ?string
    {
        return $this->ines->refresh()->looked_after_at;
    }
}
