<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\PlanRevision;
use App\Models\RevisionCause;
use App\Time\Clock;
use App\Wording\ChangeNote;
use App\Wording\Times;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;

final class WordingTest extends FeatureTestCase
{
    #[Test]
    #[DataProvider('durations')]
    public function durations_are_said_in_hours_and_minutes(int $minutes, string $text, string $column): void
    {
        self::assertSame([$text, $column], [Times::duration($minutes), Times::column($minutes)]);
    }

    /** @return list<array{int, string, string}> */
    public static function durations(): array
    {
        return [
            [0, '0 min', '0'], [5, '5 min', '5'], [59, '59 min', '59'], [60, '1 h 00', '1 h 00'], [61, '1 h 01', '1 h 01'], [80, '1 h 20', '1 h 20'],
            [1440, '24 h 00', '24 h 00'], [-45, '−45 min', '−45'], [-360, '−6 h 00', '−6 h 00'],
        ];
    }

    #[Test]
    #[DataProvider('moments')]
    public function moments_are_said_as_near_as_they_are(string $moment, string $said): void
    {
        self::assertSame($said, Times::when($this->ines, $this->utc($moment), Clock::now()));
    }

    /** @return list<array{string, string}> seen from Wednesday 11 March 2026 */
    public static function moments(): array
    {
        return [
            ['2026-03-11 14:45', '14:45'], ['2026-03-12 09:00', 'Thu 12, 09:00'], ['2026-03-10 23:59', 'Tue 10, 23:59'], ['2026-03-31 09:00', 'Tue 31, 09:00'],
            ['2026-04-02 09:00', '2 Apr, 09:00'], ['2026-12-31 09:00', '31 Dec, 09:00'], ['2027-01-04 09:00', '4 Jan 2027, 09:00'], ['2027-03-11 09:00', '11 Mar 2027, 09:00'],
        ];
    }

    #[Test]
    public function times_are_those_of_the_persons_zone(): void
    {
        $this->ines->update(['zone' => 'Asia/Kolkata']);

        self::assertSame('14:15–15:15', Times::range($this->ines, $this->utc('2026-03-11 08:45'), $this->utc('2026-03-11 09:45')));
        self::assertSame('Thu 12, 00:30', Times::when($this->ines, $this->utc('2026-03-11 19:00'), Clock::now()));
    }

    /**
     * @param  list<array<string, mixed>>  $moves
     * @param  list<string>  $sentences
     */
    #[Test]
    #[DataProvider('moves')]
    public function a_move_is_one_sentence_with_its_cause(array $moves, array $sentences): void
    {
        $revision = new PlanRevision(['cause' => RevisionCause::Mended, 'moves' => array_map(fn (array $move): array => [
            ...$move, 'from' => $this->minutes($move['from']), 'to' => $this->minutes($move['to']),
        ], $moves)]);

        self::assertSame($sentences, array_column((new ChangeNote($this->ines, Clock::now()))->lines($revision), 'sentence'));
    }

    /** @return array<string, array{list<array<string, mixed>>, list<string>}> */
    public static function moves(): array
    {
        $move = static fn (?string $from, ?string $to, string $cause, int $task = 1, array $more = []): array => ['task' => $task, 'title' => "Task {$task}", 'from' => $from, 'to' => $to, 'cause' => $cause, ...$more];

        return [
            'went by' => [[$move('2026-03-11 07:00', '2026-03-11 09:00', 'passed')], ['Task 1 moved from 07:00 to 09:00: its time went by and it was not done.']],
            'to another day' => [[$move('2026-03-11 09:00', '2026-03-12 10:00', 'rearranged')], ['Task 1 moved from 09:00 to Thu 12, 10:00: the whole comes out better so.']],
            'other work' => [[$move('2026-03-11 09:00', '2026-03-11 10:00', 'task_took', more: ['by' => 'Essay'])], ['Task 1 moved from 09:00 to 10:00: Essay took its place.']],
            'a meeting nobody knows' => [[$move('2026-03-11 09:00', '2026-03-11 10:00', 'busy_took')], ['Task 1 moved from 09:00 to 10:00: a meeting took its place.']],
            'new' => [[$move(null, '2026-03-11 10:00', 'new_work')], ['Task 1 now has 10:00: it had no place yet.']],
            'no place' => [[$move('2026-03-11 09:00', null, 'no_place')], ['Task 1 lost 09:00 and has no place within four weeks: no open time is left for it.']],
            'in two parts' => [
                [$move('2026-03-11 09:00', '2026-03-11 10:00', 'passed'), $move(null, '2026-03-12 11:00', 'new_work')],
                ['Task 1 moved from 09:00 to 10:00 and Thu 12, 11:00: its time went by and it was not done.'],
            ],
            'two tasks' => [
                [$move('2026-03-11 09:00', '2026-03-11 10:00', 'passed'), $move('2026-03-11 10:00', '2026-03-11 11:00', 'earlier_free', 2)],
                ['Task 1 moved from 09:00 to 10:00: its time went by and it was not done.', 'Task 2 moved from 10:00 to 11:00: earlier time was free.'],
            ],
        ];
    }

    #[Test]
    public function the_toast_says_one_move_whole_and_several_by_their_number(): void
    {
        $note = new ChangeNote($this->ines, Clock::now());
        $move = ['task' => 1, 'title' => 'Essay', 'from' => $this->minutes('2026-03-11 09:00'), 'to' => $this->minutes('2026-03-11 10:00'), 'cause' => 'rearranged'];

        self::assertSame('Done.', $note->summary(new PlanRevision(['cause' => RevisionCause::Done, 'moves' => []])));
        self::assertSame('Done. Essay moved from 09:00 to 10:00: the whole comes out better so.', $note->summary(new PlanRevision(['cause' => RevisionCause::Done, 'moves' => [$move]])));
        self::assertSame('Done. 2 tasks have another place.', $note->summary(new PlanRevision(['cause' => RevisionCause::Done, 'moves' => [$move, [...$move, 'task' => 2]]])));
    }

    #[Test]
    public function every_cause_and_reason_of_the_core_has_its_words(): void
    {
        foreach (\Nekto\Core\Plan\MoveCause::cases() as $cause) {
            self::assertStringNotContainsString('plan.cause', __("plan.cause.{$cause->value}"));
        }
        foreach (\Nekto\Core\Plan\ReasonCode::cases() as $code) {
            self::assertStringNotContainsString('plan.reason', __("plan.reason.{$code->value}"));
        }
        foreach (RevisionCause::cases() as $cause) {
            self::assertStringNotContainsString('plan.', __("plan.said.{$cause->value}").__("plan.undone.{$cause->value}"));
        }
        foreach (\Nekto\Core\Capture\Problem::cases() as $problem) {
            self::assertStringNotContainsString('gather.', __("gather.problem.{$problem->value}"));
        }
    }

    /** @return array{int, int}|null an hour from then on */
    private function minutes(?string $time): ?array
    {
        $start = $time === null ? null : intdiv($this->utc($time)->getTimestamp(), 60);

        return $start === null ? null : [$start, $start + 60];
    }
}
