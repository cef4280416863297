<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Edits\CrunchWay;
use App\Edits\CutBy;
use App\Edits\OpenHours;
use App\Edits\TakeWay;
use App\Models\HoursSet;
use App\Time\Clock;
use Nekto\Core\Prospect\WayOutKind;
use Nekto\Core\Time\LocalDay;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;

/** Ways out as they are carried by a page, and what taking one changes. */
final class WaysTakenTest extends FeatureTestCase
{
    #[Test]
    public function a_way_is_read_as_it_was_written(): void
    {
        foreach ([
            new CrunchWay(WayOutKind::MoveDue, 12, 29_560_000), new CrunchWay(WayOutKind::Cut, 12, 30), new CrunchWay(WayOutKind::Drop, 12, 480),
            new CrunchWay(WayOutKind::ExtraHours, 2, 29_553_660, 45),
        ] as $way) {
            self::assertEquals($way, CrunchWay::read($way->asText()));
        }
    }

    #[Test]
    #[DataProvider('noWays')]
    public function what_is_no_way_is_none(string $text): void
    {
        self::assertNull(CrunchWay::read($text));
    }

    /** @return list<array{string}> */
    public static function noWays(): array
    {
        return array_map(static fn (string $text): array => [$text], [
            '', 'cut', 'cut:1', 'fly:1:2', 'cut:1:1441', 'cut:-1:30', 'cut:1:30:', "cut:1:30\n", ' cut:1:30', 'cut:1:3.5', 'cut:9999999999999:30', 'CUT:1:30',
            'extra_hours:2:29553660', 'extra_hours:2:29553660:0', 'extra_hours:2:29553660:1441', 'move_due:1:9999999999',
        ]);
    }

    #[Test]
    public function a_cut_leaves_a_step_and_what_was_worked(): void
    {
        $task = $this->task('Captions', 120);
        self::assertSame(['estimate' => 90], CutBy::columns($task, 30, Clock::now()));
        self::assertSame(['estimate' => 5], CutBy::columns($task, 500, Clock::now()));
        self::assertSame(['estimate' => 120], CutBy::columns($task, -30, Clock::now()), 'nothing gets longer by a cut');

        $this->ines->entries()->create(['task_id' => $task->id, 'starts_at' => '2026-03-11 06:00:00', 'ends_at' => '2026-03-11 07:40:00']);
        $task = $this->ines->tasks()->findOrFail($task->id);
        $left = $task->minutesToPlan(Clock::now());
        self::assertSame(20, $left);
        $cut = CutBy::columns($task, 500, Clock::now());
        self::assertSame(120 - $left + 5, $cut['estimate'], 'what was worked cannot be cut');
    }

    #[Test]
    public function opened_hours_join_those_of_the_day_and_of_no_other(): void
    {
        $set = $this->set();
        $day = LocalDay::fromString('2026-03-12');

        OpenHours::on($set, $day, 1050, 60);
        self::assertSame([['09:00', '18:30']], $this->hoursOn($set, '2026-03-12'));
        OpenHours::on($set->refresh()->load('exceptions'), $day, 1380, 120);
        self::assertSame([['09:00', '18:30'], ['23:00', '24:00']], $this->hoursOn($set, '2026-03-12'), 'the day ends at midnight');
        OpenHours::on($set->refresh()->load('exceptions'), LocalDay::fromString('2026-03-14'), 600, 60);
        self::assertSame([['10:00', '11:00']], $this->hoursOn($set, '2026-03-14'), 'a closed day has these alone');
        self::assertSame(2, $set->exceptions()->count());
    }

    #[Test]
    public function what_went_by_is_not_opened_and_what_is_gone_is_passed_over(): void
    {
        $task = $this->task('Captions', 120, dueOn: '2026-03-12');
        $take = app(TakeWay::class);
        $minute = intdiv(Clock::now()->getTimestamp(), 60);

        $take($this->ines, new CrunchWay(WayOutKind::ExtraHours, $this->set()->id, $minute - 60, 30), Clock::now());
        self::assertSame(0, $this->set()->exceptions()->count());
        $take($this->ines, new CrunchWay(WayOutKind::ExtraHours, $this->set()->id, $minute + 720, 30), Clock::now());
        self::assertSame(1, $this->set()->exceptions()->count());

        foreach (WayOutKind::cases() as $kind) {
            $take($this->ines, new CrunchWay($kind, 999_999, $minute + 720, 30), Clock::now());
            $take($this->person('wim@'.$kind->value.'.example.org'), new CrunchWay($kind, $task->id, $minute + 720, 30), Clock::now());
        }
        self::assertSame([120, '2026-03-12', 'open'], [$task->refresh()->estimate, $task->due_on, $task->stage->value], 'nor is what is another person\'s');

        $take($this->ines, new CrunchWay(WayOutKind::MoveDue, $task->id, intdiv((int) strtotime('2026-03-17T17:30:00Z'), 60)), Clock::now());
        self::assertSame('2026-03-17', $task->refresh()->due_on);
        $take($this->ines, new CrunchWay(WayOutKind::Drop, $task->id, 120), Clock::now());
        self::assertSame('someday', $task->refresh()->stage->value);
    }

    private function set(): HoursSet
    {
        return $this->ines->hoursSets()->with('exceptions')->firstOrFail();
    }

    /** @return list<array{string, string}>|null */
    private function hoursOn(HoursSet $set, string $date): ?array
    {
        return $set->exceptions()->where('date', $date)->first()?->stretches;
    }
}
