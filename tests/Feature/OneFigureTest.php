<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Task;
use App\Rows\WorkTimeLoader;
use App\Screens\Weigh\Axis;
use App\Screens\Weigh\Field;
use App\Time\Clock;
use App\Time\Moments;
use Nekto\Core\Pressure\DemandCurve;
use Nekto\Core\Pressure\Pull;
use Nekto\Core\Pressure\Supply;
use Nekto\Core\Task\Importance;
use PHPUnit\Framework\Attributes\Test;

/** One thing has one figure, whoever shows it. */
final class OneFigureTest extends FeatureTestCase
{
    /** Due work that is anchored needs no other time; what is left of it competes. */
    #[Test]
    public function the_card_and_the_list_and_the_preview_weigh_alike(): void
    {
        $quotes = $this->task('Quotes', 300, Importance::High, dueOn: '2026-03-12');
        $this->block($quotes, '2026-03-12 09:00', '2026-03-12 12:30', anchored: true);
        $mount = $this->task('Mount', 120, Importance::Medium, dueOn: '2026-03-12');
        $mount->forceFill(['created_at' => '2026-01-05 09:00:00'])->save();

        [$pressure, $pull] = $this->listed($mount);
        $card = $this->postJson("/weigh/{$mount->id}/preview", ['importance' => 2, 'due_date' => '2026-03-12', 'estimate' => '2 h'])->assertOk();
        $card->assertJsonPath('pressure', $pressure)->assertJsonPath('pull', $pull);

        // By hand: 7 h 45 of Wednesday, and of Thursday what the 3 h 30 that are anchored leave, 4 h 15, less a margin of a
        // fifth of each: 6 h 12 and 3 h 24. 1 h 30 of Quotes are left to be laid, and 2 h of Mount: 3 h 30 / 9 h 36.
        self::assertSame(36, $pressure);
        $mount->update(['importance' => null]);
        $this->get('/weigh')->assertSee('Mount');
        $this->postJson("/weigh/{$mount->id}/preview", ['importance' => 2, 'due_date' => '2026-03-12', 'estimate' => '2 h'])->assertJsonPath('pull', $pull);
    }

    /** What is treated as urgent presses, on its card and in the list. */
    #[Test]
    public function the_card_and_the_list_give_the_same_answer(): void
    {
        $mount = $this->task('Mount', 30, Importance::High, dueOn: '2026-06-01');
        $this->task('Essay', 30, Importance::High, dueOn: '2026-06-01');
        $mount->update(['push' => 1]);

        $this->postJson("/weigh/{$mount->id}/preview", ['importance' => 3, 'due_date' => '2026-06-01', 'estimate' => '30'])->assertJsonPath('answer', 'do_now');
        $this->get('/weigh/list?group=answer')->assertSeeInOrder(['Do now', 'Mount', 'Make time', 'Essay']);
    }

    /** Where nothing is due, importance alone decides whether a mark lies above a line of equal pull or below. */
    #[Test]
    public function the_fields_lines_lie_where_the_list_puts_their_pull(): void
    {
        $today = Moments::today($this->ines, Clock::now());
        $time = (new WorkTimeLoader)->load($this->ines, $today, 92);
        $lines = (new Field(Axis::of($today, $time, null), new DemandCurve([], new Supply($time->open($time->sets->firstOrFail()->id), Moments::minute(Clock::now()), $time->zone))))->lines();

        self::assertCount(8, $lines);
        foreach ($lines as $line) {
            $share = 1 - (float) explode(' ', array_slice(explode('L', $line->line), -1)[0])[1] / Field::HEIGHT;
            $points = array_map(static fn (Importance $one): int => Pull::of($one, null)->total(), Importance::cases());
            foreach ($points as $band => $pull) {
                $below = $points[$band - 1] ?? 0;
                if ($line->level > $below && $line->level <= $pull) { // between the middles of two bands, in proportion
                    self::assertEqualsWithDelta(($band - 0.5 + ($line->level - $below) / ($pull - $below)) / 4, $share, 0.001, (string) $line->level);
                }
                self::assertSame($pull <=> $line->level, round(($band + 0.5) / 4, 2) <=> round($share, 2), "band {$band} against {$line->level}");
            }
        }
    }

    /** @return array{int, int} pressure in percent and pull, as the list says them */
    private function listed(Task $task): array
    {
        $row = strstr((string) $this->get('/weigh/list')->assertOk()->getContent(), "id=\"row-{$task->id}\"");
        self::assertIsString($row);
        self::assertSame(1, preg_match('/(\d+) %.*?<span class="strong">(\d+)<\/span>/s', $row, $part));

        return [(int) $part[1], (int) $part[2]];
    }
}
