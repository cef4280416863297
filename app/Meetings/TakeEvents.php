<?php

declare(strict_types=1);

namespace App\Meetings;

use App\ICalendar\CalendarSplitter;
use App\ICalendar\EventGroup;
use App\ICalendar\UnreadableCalendar;
use App\Intake\Parts;
use App\Intake\Steps;
use App\Intake\TimeLimit;
use App\Intake\TookTooLong;
use App\Models\Intake;
use App\Models\Meeting;
use App\Models\User;
use App\Planning\Mend;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Nekto\Core\Recurrence\RuleRefused;

/** Brings a calendar file in: its events by UID, so that taking the same file again changes nothing. */
final readonly class TakeEvents implements Steps
{
    /** Events of one step, and seconds after which no more are begun: short enough to show progress, long enough to be quick. */
    private const BATCH = 200;

    private const SECONDS = 2;

    /** Events that are looked up and stored together. */
    private const TOGETHER = 20;

    /** Seconds for one event with all its occurrences; what takes longer never comes round. */
    private const EVENT = 2;

    /** Events of one file that may take too long before the file is put aside. */
    private const MOST_LATE = 3;

    /** Rows of one transaction, and microseconds between two. */
    private const ROWS = 500;

    private const PAUSE = 3000;

    public const DAYS_BACK = 60;

    public const DAYS_AHEAD = 400;

    public function __construct(private Mend $mend) {}

    public static function reader(User $user, CarbonImmutable $now): EventReader
    {
        return new EventReader(
            new \DateTimeZone($user->zone),
            $user->calendarAddresses(),
            $now->subDays(self::DAYS_BACK),
            $now->addDays(self::DAYS_AHEAD),
        );
    }

    /**
     * Reads an event within its time.
     *
     * @throws UnreadableCalendar
     */
    public static function read(EventReader $reader, EventGroup $group): MeetingDraft
    {
        try {
            return TimeLimit::run(self::EVENT, fn (): MeetingDraft => $reader->read($group));
        } catch (UnreadableCalendar $error) {
            $why = $error->getPrevious();
            throw $why instanceof TookTooLong || ($why instanceof RuleRefused && $why->isEndless) ? new NeverComesRound(__('meetings.too_long_to_read'), previous: $error) : $error;
        } catch (TookTooLong $error) {
            throw new NeverComesRound(__('meetings.too_long_to_read'), previous: $error);
        }
    }

    /** Puts an event's occurrences in the place of those it had. */
    public static function store(Meeting $meeting, MeetingDraft $draft, CarbonImmutable $now): void
    {
        $meeting->summary = $draft->summary;
        $meeting->expanded_until = $draft->goesOn ? $now->addDays(self::DAYS_AHEAD) : null;
        $meeting->save();
        $meeting->occurrences()->delete();
        $rows = array_map(static fn (array $one): array => ['user_id' => $meeting->user_id, 'meeting_id' => $meeting->id, ...$one], $draft->occurrences);
        foreach (array_chunk($rows, 100) as $chunk) {
            DB::table('occurrences')->insert($chunk);
        }
    }

    public function cut(Intake $intake, CarbonImmutable $now): void
    {
        $split = (new CalendarSplitter('VEVENT'))->split((string) Storage::get((string) $intake->path));
        foreach ($split['problems'] as $problem) {
            $intake->note($problem['line'], $problem['what']);
        }
        Parts::write($intake, self::lines($split['components']));
    }

    public function take(Intake $intake, CarbonImmutable $now): void
    {
        $reader = self::reader($intake->user, $now);
        $until = hrtime(true) + self::SECONDS * 1_000_000_000;
        for ($looked = 0; $looked < self::BATCH && hrtime(true) < $until; $looked += self::TOGETHER) {
            $groups = array_map(static fn (array $part): EventGroup => new EventGroup(...$part), iterator_to_array(Parts::next($intake, self::TOGETHER), false));
            if ($groups === []) {
                break;
            }
            $this->storeAll($intake, $this->drafts($intake, $reader, $groups, $now), $now);
            $intake->save();
        }
    }

    public function finished(Intake $intake, CarbonImmutable $now): void
    {
        rescue(fn () => ($this->mend)($intake->user, $now)); // meetings may lie on blocks now; that they are in does not hang on it
    }

    /**
     * What of these events is new or has changed; what cannot be read is counted.
     *
     * @param  list<EventGroup>  $groups
     * @return list<array{Meeting, EventGroup, MeetingDraft}>
     */
    private function drafts(Intake $intake, EventReader $reader, array $groups, CarbonImmutable $now): array
    {
        $user = $intake->user;
        $known = $user->meetings()->whereIn('uid', array_map(static fn (EventGroup $group): string => $group->uid, $groups))->get()->keyBy('uid');
        $drafts = [];
        foreach ($groups as $group) {
            $meeting = $known[$group->uid] ?? null;
            if ($meeting !== null && $meeting->source === $group->text && ($meeting->expanded_until === null || $meeting->expanded_until->isSameDay($now->addDays(self::DAYS_AHEAD)))) {
                continue; // it is as it was, and expanded as far
            }
            try {
                $drafts[] = [$meeting ?? $user->meetings()->make(['uid' => $group->uid]), $group, self::read($reader, $group)];
            } catch (NeverComesRound $error) {
                $intake->fail($group->line, $error->getMessage());
                if (++$intake->late >= self::MOST_LATE) {
                    throw new UnreadableCalendar(__('meetings.too_many_late', ['line' => $group->line]));
                }
            } catch (UnreadableCalendar $error) {
                $intake->fail($group->line, $error->getMessage());
            }
        }

        return $drafts;
    }

    /**
     * In short transactions with a pause between them: whoever else writes comes in between.
     *
     * @param  list<array{Meeting, EventGroup, MeetingDraft}>  $drafts
     */
    private function storeAll(Intake $intake, array $drafts, CarbonImmutable $now): void
    {
        while ($drafts !== []) {
            DB::transaction(static function () use ($intake, &$drafts, $now): void {
                for ($rows = 0; $drafts !== [] && $rows < self::ROWS; $rows += 1 + count($draft->occurrences)) {
                    [$meeting, $group, $draft] = array_shift($drafts);
                    $meeting->exists ? ($meeting->source === $group->text || $intake->changed++) : $intake->added++;
                    $meeting->source = $group->text;
                    self::store($meeting, $draft, $now);
                }
            });
            usleep(self::PAUSE);
        }
    }

    /**
     * @param  list<\App\ICalendar\CalendarComponent>  $components
     * @return \Generator<array{string, int, string}>
     */
    private static function lines(array $components): \Generator
    {
        foreach (EventGroup::of($components) as $group) {
            yield [$group->uid, $group->line, $group->text];
        }
    }
}
