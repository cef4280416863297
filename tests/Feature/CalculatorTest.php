<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Block;
use App\Models\Occurrence;
use App\Models\Task;
use App\Models\User;
use App\Rows\Desk;
use App\Rows\RowMapper;
use App\Rows\WorkTimeLoader;
use App\Time\Clock;
use App\Wording\Times;
use Database\Seeders\DemoSeeder;
use Nekto\Core\Task\Importance;
use PHPUnit\Framework\Attributes\Test;

/** Sums as a careful person writes them, set beside what the pages say. */
final class CalculatorTest extends FeatureTestCase
{
    #[Test]
    public function the_sample_wednesday(): void
    {
        $this->at('2026-03-11 10:20');
        $this->artisan('nekto:demo');
        $this->actingAs($ines = User::query()->where('email', DemoSeeder::EMAIL)->sole());
        $this->artisan('nekto:minute');

        // What the day carries.
        $this->bill('/shape', [
            ['Office hours', '8 h 30', 510],
            ['lunch', '−45', -45],
            ['meetings, 15 to get there', '−2 h 15', -(30 + 45 + 45) - 15],
            ['anchored', '−30', -30],
            ['open', '5 h 00', null],
            ['margin, 20 %', '−1 h 00', -60],
            ['load line', '4 h 00', null],
        ], 240);

        // What is laid out for it: the sum at the gauge is the sum of its pieces.
        $laid = ['Replies' => 30, 'Wall texts, room 3' => 90, 'Essay 2' => 60, 'Budget revision' => 25, 'Courier quotes' => 20, 'Maas Archive' => 15];
        self::assertSame(240, array_sum($laid));
        $shape = $this->get('/shape')->assertSeeTextInOrder(['4 h 00', 'of 4 h 00']);
        foreach ($laid as $title => $minutes) {
            $shape->assertSee('title="'.$title.', '.($minutes < 60 ? "{$minutes} min" : sprintf('%d h %02d', intdiv($minutes, 60), $minutes % 60)).'"', false);
        }

        // An hour and a quarter of the texts is left: an hour and a half was said, a quarter worked since 10:05.
        self::assertSame(90 - 15, $ines->tasks()->where('short', 'Wall texts, room 3')->sole()->minutesLeft(Clock::now()));
        $this->get('/work')->assertSee('1 h 15 of work left');

        // In the evening, against the promise of 08:52: 30 took 27; 90 took 85, until the committee stopped the clock.
        $this->at('2026-03-11 19:00');
        $this->artisan('nekto:minute');
        $promised = 30 + 90 + 60 + 30 + 25 + 20 + 15 + 15 + 30;
        self::assertSame(5 * 60 + 15, $promised);
        $this->get('/close')->assertSeeTextInOrder([
            'promised at 08:52',
            'Kept', '30', '27', '−3', 'Invoices and replies', '30', '27', '−3',
            'Begun, not done', '1 h 30', '1 h 25', '−5', 'Wall texts, room 3', '1 h 30', '1 h 25', '−5',
            'Moved away', '3 h 15', '0', '−3 h 15',
            "The day's work", '5 h 15', '1 h 52', '−3 h 23',
        ], false);
        self::assertSame(27 + 85 - $promised, -(3 * 60 + 23));
    }

    /** Horizon on the sample, reckoned again from hours, meetings and tasks, minute by minute, by nothing that the page uses. */
    #[Test]
    public function the_sample_horizon(): void
    {
        $this->at('2026-03-11 10:20');
        $this->artisan('nekto:demo');
        $this->actingAs($ines = User::query()->where('email', DemoSeeder::EMAIL)->sole());
        $now = strtotime('2026-03-11 10:20 UTC'); // Lisbon's time is UTC until the 29th
        $busy = [];
        foreach ($ines->occurrences()->with('meeting.calendar')->get()->filter(static fn (Occurrence $one): bool => $one->blocks()) as $one) {
            $busy[] = [$one->starts_at->getTimestamp() - 60 * RowMapper::before($one, $ines), $one->ends_at->getTimestamp()];
        }
        foreach ($ines->blocks()->where('anchored', true)->get() as $block) {
            $busy[] = [$block->starts_at->getTimestamp(), $block->ends_at->getTimestamp()];
        }
        $isOpen = static function (int $at) use ($busy): bool {
            $minute = (int) (($at % 86400) / 60);
            $weekday = (int) gmdate('N', $at);
            $isTaken = array_filter($busy, static fn (array $one): bool => $at >= $one[0] && $at < $one[1]) !== [];

            return $weekday < 6 && $minute >= 540 && $minute < 1050 && ! ($minute >= 750 && $minute < 795) && ! $isTaken;
        };
        $open = [];
        for ($day = strtotime('2026-03-11 UTC'); $day < strtotime('2026-03-21 UTC'); $day += 86400) {
            $whole = $left = 0;
            for ($at = $day; $at < $day + 86400; $at += 60) {
                $whole += $isOpen($at) ? 1 : 0;
                $left += $isOpen($at) && $at >= $now ? 1 : 0;
            }
            // Under the load line: 80 % of the day's open minutes; of today what is worked and gone of the block that is on is taken off it.
            $open[gmdate('Y-m-d', $day)] = min($left, $whole - (int) round(0.2 * $whole) - ($day < $now ? 30 + 20 : 0));
        }
        $due = [];
        foreach ($ines->tasks()->open()->whereNotNull('importance')->whereNotNull('due_on')->with('area')->get()->filter(static fn (Task $task): bool => $task->hoursSet() === $ines->hoursSets()->firstOrFail()->id) as $task) {
            $anchored = (int) $task->blocks()->where('anchored', true)->where('ends_at', '>', Clock::now())->get()->sum(static fn (Block $block): int => (int) $block->starts_at->diffInMinutes($block->ends_at));
            $due[$task->due_on] = ($due[$task->due_on] ?? 0) + max(0, $task->minutesToPlan(Clock::now()) - $anchored);
        }
        ksort($due);

        // Light cuts: where deep work is not what is short, all work due by then stands against all open time until then.
        $page = $this->get('/horizon?weeks=3');
        foreach (['2026-03-11' => 'Wed 11', '2026-03-17' => 'Tue 17', '2026-03-18' => 'Wed 18'] as $date => $said) {
            $demand = array_sum(array_filter($due, static fn (string $on): bool => $on <= $date, ARRAY_FILTER_USE_KEY));
            $supply = array_sum(array_filter($open, static fn (string $on): bool => $on <= $date, ARRAY_FILTER_USE_KEY));
            $page->assertSeeTextInOrder(["\n", $said, Times::duration($demand), Times::duration($supply), Times::duration($supply - $demand), round(100 * $demand / $supply).' %'], false);
        }
    }

    #[Test]
    public function an_overfull_week(): void
    {
        $this->at('2026-03-09 08:00');
        // A day: 8 h 30 less 45 of lunch are 465, less a margin of 93 are 372, of which 240 may be deep.
        [$day, $deep] = [372, 240];
        $essay = $this->task('Essay', 480, Importance::Vital, '2026-03-10', deep: true);
        $lists = $this->task('Lists', 360, Importance::High, '2026-03-11');
        $captions = $this->task('Captions', 480, Importance::High, '2026-03-12', deep: true);
        $proofs = $this->task('Proofs', 480, Importance::Medium, '2026-03-13');

        self::assertSame(2 * $deep - 480, $this->room($essay), 'two days of deep work');
        self::assertSame(3 * $day - 480 - 360, $this->room($lists), 'all work of three days');
        self::assertSame(4 * $deep - 480 - 480, $this->room($captions), 'four days of deep work');
        self::assertSame(5 * $day - 480 - 360 - 480 - 480, $this->room($proofs), 'all work of the week: an hour of room');

        $report = $this->task('Report', 120, Importance::Low, '2026-03-13');
        self::assertSame(60 - 120, $this->room($report));
        self::assertSame((int) round(100 * 1920 / 1860), $this->pressure($report));
        $this->post('/plan/lay-out')->assertSessionHas('status', fn (string $said): bool => preg_match('/^(Report|Proofs) will be late: (Mon 16, \d\d:\d\d|Fri 13, 17:\d\d), due Fri 13 \((?:low|medium)\)\./', $said) === 1);
        $this->get('/shape')->assertSee('One task will be late by this plan.');

        // An hour less of it and all fits; five minutes more and it does not.
        $this->patch("/tasks/{$report->id}", ['estimate' => '1 h']);
        self::assertSame(0, $this->room($report));
        $this->patch("/tasks/{$report->id}", ['estimate' => '65 min']);
        self::assertSame(-5, $this->room($report));
    }

    /**
     * @param  list<array{string, string, int|null}>  $lines  words, figure as it is printed, minutes; null: what the lines above add up to
     */
    private function bill(string $page, array $lines, int $sum): void
    {
        $response = $this->get($page)->assertOk();
        $total = 0;
        foreach ($lines as [$words, $printed, $minutes]) {
            $total += $minutes ?? 0;
            $response->assertSeeTextInOrder([$words, $printed]);
            self::assertSame(abs($minutes ?? $total), self::minutes($printed), $words);
        }
        self::assertSame($sum, $total);
    }

    private static function minutes(string $printed): int
    {
        preg_match('/^−?(?:(\d+) h )?(\d+)$/u', $printed, $part);

        return 60 * (int) ($part[1] ?? 0) + (int) ($part[2] ?? 0);
    }

    private function room(Task $task): ?int
    {
        return $this->desk()->open()->one($task->id)?->demand?->room();
    }

    private function pressure(Task $task): ?int
    {
        return $this->desk()->open()->one($task->id)?->pressure();
    }

    private function desk(): Desk
    {
        return new Desk(fn (): User => $this->ines, Clock::now(), new WorkTimeLoader);
    }
}
