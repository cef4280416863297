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
use App\Models\CalendarKind;
use App\Models\Intake;
use App\Models\Meeting;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Nekto\Core\Recurrence\RuleRefused;

/** Brings a calendar in: its events by UID, so that taking the same again changes nothing, and what is in it no more goes. */
final readonly class TakeEvents implements Steps
{
    /** Events of one step, and seconds after which no more are begun: short enough to show progress, long enough to be quick. */
    private const BATCH = 200;

    private const SECONDS = 2;

    /** Events that are looked up and stored together. */
    private const TOGETHER = 50;

    /** Seconds for one event with all its occurrences; what takes longer never comes round. */
    private const EVENT = 2;

    /** Events of one file that may take too long before the file is put aside. */
    private const MOST_LATE = 3;

    /** Rows of one transaction, and microseconds between two. */
    private const ROWS = 1000;

    private const PAUSE = 2000;

    /** Pages of the write-ahead log before they are brought into the file; the usual thousand are two transactions. */
    private const PAGES = 6000;

    public const DAYS_BACK = 60;

    public const DAYS_AHEAD = 300;

    /** What is known of a file when it was cut: only of a whole one can be told what is gone. */
    private const WHOLE = 'whole';

    private const BROKEN_OFF = 'broken-off';

    public function __construct(private FollowMeetings $follow) {}

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

    public function cut(Intake $intake, CarbonImmutable $now): void
    {
        $split = (new CalendarSplitter('VEVENT'))->split((string) Storage::get((string) $intake->path));
        foreach ($split['problems'] as $problem) {
            $intake->note($problem['line'], $problem['what']);
        }
        $intake->format = $split['isWhole'] ? self::WHOLE : self::BROKEN_OFF;
        CalendarSays::of($split)->keep($intake);
        Parts::write($intake, self::lines($split['components']));
    }

    public function take(Intake $intake, CarbonImmutable $now): void
    {
        $reader = self::reader($intake->user, $now);
        DB::statement('pragma wal_autocheckpoint = '.self::PAGES); // of this connection: what is written in many small steps is brought into the file in fewer
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

    /** What was not in it is gone, unless it broke off; then the plan follows. */
    public function finished(Intake $intake, CarbonImmutable $now): void
    {
        $calendar = $intake->calendar ?? throw new \LogicException('A calendar is taken into one.');
        $gone = $intake->format === self::WHOLE ? Gone::of($calendar, self::uids($intake)) : [];
        $intake->gone = count($gone);
        ($this->follow)($calendar, $gone, $intake->added + $intake->changed > 0, $now);
    }

    /** What could not be taken is asked for again, as if nothing had come. */
    public function aside(Intake $intake, string $why, CarbonImmutable $now): void
    {
        $calendar = $intake->calendar;
        if ($calendar?->kind === CalendarKind::Address) {
            $calendar->fill(['etag' => null, 'modified' => null, 'digest' => null]);
            Failing::note($calendar, $why, $now);
        }
    }

    /**
     * What of these events is new or has changed; what cannot be read is counted.
     *
     * @param  list<EventGroup>  $groups
     * @return list<array{Meeting, EventGroup, MeetingDraft}>
     */
    private function drafts(Intake $intake, EventReader $reader, array $groups, CarbonImmutable $now): array
    {
        $calendar = $intake->calendar ?? throw new \LogicException('A calendar is taken into one.');
        $known = $calendar->meetings()->whereIn('uid', array_map(static fn (EventGroup $group): string => $group->uid, $groups))->get()->keyBy('uid');
        $drafts = [];
        foreach ($groups as $group) {
            $meeting = $known[$group->uid] ?? null;
            if ($meeting !== null && self::isAsItWas($meeting, $group, $now)) {
                $meeting->missing && $meeting->update(['missing' => false]);

                continue;
            }
            try {
                $draft = self::read($reader, $group);
                if ($meeting === null || ! $meeting->messaged || $draft->sequence >= $meeting->sequence) { // else a message has told us more than this source knows yet
                    $drafts[] = [$meeting ?? $calendar->meetings()->make(['uid' => $group->uid])->forceFill(['user_id' => $calendar->user_id]), $group, $draft];
                }
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
                    match (true) {
                        ! $meeting->exists, $meeting->gone_at !== null => $intake->added++,
                        $meeting->source !== $group->text => $intake->changed++,
                        default => null,
                    };
                    $meeting->fill(['source' => $group->text, 'messaged' => false]);
                    StoreMeeting::now($meeting, $draft, $now);
                }
            });
            usleep(self::PAUSE);
        }
    }

    private static function isAsItWas(Meeting $meeting, EventGroup $group, CarbonImmutable $now): bool
    {
        return CalendarSplitter::unstamped($meeting->source) === CalendarSplitter::unstamped($group->text) && $meeting->gone_at === null
            && ($meeting->expanded_until === null || $meeting->expanded_until->isSameDay($now->addDays(self::DAYS_AHEAD)));
    }

    /** @return \Generator<string> of all its parts, read or not */
    private static function uids(Intake $intake): \Generator
    {
        foreach (Parts::all($intake) as [$uid]) {
            yield (string) $uid;
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
