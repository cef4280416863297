<?php

declare(strict_types=1);

namespace App\Screens\Meetings;

use App\Models\Answer;
use App\Models\Calendar;
use App\Models\CalendarKind;
use App\Models\Occurrence;
use App\Models\User;
use App\Rows\Desk;
use App\Rows\RowMapper;
use App\Rows\WorkTime;
use App\Time\Moments;
use App\Wording\Dates;
use App\Wording\Times;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Nekto\Core\Time\Interval;

/** The calendars in their groups, and the coming fourteen days of meetings. */
final readonly class MeetingsScreen
{
    public const DAYS = 14;

    /** More are not listed: nobody goes to so many. */
    private const MOST = 300;

    public function __construct(private Desk $desk) {}

    /** @param  int|null  $chosen  the meeting in hand; null: the next one */
    public function page(?int $chosen): MeetingsPage
    {
        $user = $this->desk->user();
        $now = $this->desk->now;
        $time = $this->desk->time();
        $lens = $this->desk->lens();
        $span = new Interval($time->zone->at($time->first, 0), $time->zone->at($time->first->plusDays(self::DAYS), 0));
        $coming = $time->occurrences->filter(static fn (Occurrence $one): bool => RowMapper::start($one) < $span->end && RowMapper::end($one) > $span->start
            && ($one->isShown() || $one->blocks()) && $lens->holdsMeeting($one))->take(self::MOST)->values();
        $blocking = $coming->filter(static fn (Occurrence $one): bool => $one->interrupts());
        $tape = Tape::of($time, $coming->reject(static fn (Occurrence $one): bool => $one->all_day || RowMapper::end($one) <= RowMapper::start($one))->map(RowMapper::time(...)));
        $rows = $this->rows($user, $time, $coming, $tape, $now, $chosen);
        $calendars = $user->calendars()->kept()->get();
        $first = Moments::moment($span->start)->setTimezone($user->zone);
        $last = $first->addDays(self::DAYS - 1);

        return new MeetingsPage(
            $user,
            $this->groups($user, $calendars, $now),
            $this->days($user, $rows, $now),
            $tape->marks(),
            $tape->line(),
            $tape->at($time->zone->minuteOfDay(Moments::minute($now))),
            $first->month === $last->month && $user->dates === 'en' ? "{$first->day} to ".Dates::of($user)->ofLongMonth($last) : Dates::of($user)->ofLongMonth($first).' to '.Dates::of($user)->ofLongMonth($last),
            $coming->count(),
            (int) $blocking->sum(static fn (Occurrence $one): int => RowMapper::time($one)->intersection($span)?->length() ?? 0),
            count(array_filter($rows, static fn (MeetingRow $row): bool => $row->isOpen)),
            $calendars->count(),
            $calendars->filter(static fn (Calendar $one): bool => $one->why !== null)->count(),
        );
    }

    /**
     * @param  Collection<int, Occurrence>  $coming
     * @return list<MeetingRow>
     */
    private function rows(User $user, WorkTime $time, Collection $coming, Tape $tape, CarbonImmutable $now, ?int $chosen): array
    {
        $asked = $user->meetings()->whereKey($coming->pluck('meeting_id')->unique()->all())->asked()->pluck('id')->flip();
        $tasks = $this->tasks($user, $coming);
        $inHand = $coming->contains('id', $chosen) ? $chosen : $coming->first(static fn (Occurrence $one): bool => ! $one->all_day && $one->ends_at > $now)?->id;
        $rows = [];
        foreach ($coming as $one) {
            $isTimed = ! $one->all_day;
            $interval = RowMapper::time($one);
            $before = $isTimed ? RowMapper::before($one, $user) : 0;
            $isAsked = isset($asked[$one->meeting_id]);
            $isPast = $one->ends_at <= $now;
            $rows[] = new MeetingRow(
                $one,
                $isTimed ? Times::range($user, $one->starts_at, $one->ends_at) : self::wholeDays($user, $one),
                $isTimed ? $tape->place($interval) : null,
                $isTimed && $before > 0 && $one->blocks() ? $tape->place(new Interval($interval->start - $before, $interval->start)) : null,
                $one->blocks() ? $before : 0,
                self::answer($one, $isPast),
                $isAsked,
                $isAsked && $one->answer === Answer::Open && ! $isPast,
                $isPast,
                $one->id === $inHand,
                $tasks["/occurrences/{$one->id}#before"] ?? [],
                $tasks["/occurrences/{$one->id}#after"] ?? [],
            );
        }

        return $rows;
    }

    /**
     * @param  Collection<int, Occurrence>  $coming
     * @return array<string, list<array{id: int, title: string}>> tasks that were made of meetings, by the link they carry
     */
    private function tasks(User $user, Collection $coming): array
    {
        $addresses = $coming->flatMap(static fn (Occurrence $one): array => ["/occurrences/{$one->id}#before", "/occurrences/{$one->id}#after"])->all();
        $rows = $user->links()->toBase()->join('tasks', 'tasks.id', 'links.task_id')->whereNull('tasks.deleted_at')->whereIn('links.address', $addresses)->orderBy('tasks.id')->get(['links.address', 'tasks.id', 'tasks.title']);
        $tasks = [];
        foreach ($rows as $row) {
            $tasks[(string) $row->address][] = ['id' => (int) $row->id, 'title' => (string) $row->title];
        }

        return $tasks;
    }

    private static function wholeDays(User $user, Occurrence $one): string
    {
        $first = $user->local($one->starts_at);
        $last = $user->local($one->ends_at)->subSecond();

        return $first->isSameDay($last) ? __('calendars.all_day') : __('calendars.until', ['day' => Dates::of($user)->short($last)]);
    }

    private static function answer(Occurrence $one, bool $isPast): string
    {
        return match (true) {
            $isPast && $one->answer !== Answer::Declined => $one->blocks() ? __('calendars.held') : '',
            $one->answer === null => '',
            default => __("calendars.answer.{$one->answer->value}"),
        };
    }

    /**
     * @param  list<MeetingRow>  $rows
     * @return list<array{label: string, isToday: bool, rows: list<MeetingRow>}>
     */
    private function days(User $user, array $rows, CarbonImmutable $now): array
    {
        $today = $user->local($now)->startOfDay();
        $days = [];
        foreach ($rows as $row) {
            $day = $user->local($row->occurrence->starts_at)->max($today)->format('Y-m-d');
            $days[$day]['label'] ??= Dates::of($user)->near(CarbonImmutable::parse($day));
            $days[$day]['isToday'] ??= $day === $today->format('Y-m-d');
            $days[$day]['rows'][] = $row;
        }
        ksort($days);

        return array_values($days);
    }

    /**
     * @param  Collection<int, Calendar>  $calendars
     * @return list<array{group: \App\Models\CalendarGroup|null, name: string, rows: list<CalendarRow>, shown: bool}>
     */
    private function groups(User $user, Collection $calendars, CarbonImmutable $now): array
    {
        $entries = $user->meetings()->toBase()->whereNull('gone_at')->groupBy('calendar_id')->selectRaw('calendar_id, count(*) as count')->pluck('count', 'calendar_id');
        $groups = [];
        foreach ([...$user->calendarGroups()->get()->all(), null] as $group) {
            $own = $calendars->where('group_id', $group?->id)->values();
            if ($group === null && $own->isEmpty()) {
                continue;
            }
            $groups[] = [
                'group' => $group,
                'name' => $group->name ?? __($groups === [] ? 'calendars.all' : 'calendars.no_group'),
                'rows' => array_values($own->map(static fn (Calendar $one): CalendarRow => new CalendarRow($one, self::state($user, $one, (int) ($entries[$one->id] ?? 0), $now), (int) ($entries[$one->id] ?? 0)))->all()),
                'shown' => $own->contains('shown', true),
            ];
        }

        return $groups;
    }

    /** Where a calendar comes from, when it was looked at, when it will be, how much is in it. */
    public static function state(User $user, Calendar $calendar, int $entries, CarbonImmutable $now): string
    {
        $when = static fn (?CarbonImmutable $at): string => $at === null ? '' : Times::when($user, $at, $now);
        $count = trans_choice('calendars.entries', $entries, ['count' => number_format($entries)]);

        return match (true) {
            $calendar->kind === CalendarKind::File => __('calendars.state.file', ['day' => $calendar->fetched_at === null ? '' : Dates::of($user)->short($user->local($calendar->fetched_at)), 'name' => $calendar->file_name ?? '', 'entries' => $count]),
            $calendar->kind === CalendarKind::Here => __('calendars.state.here', ['entries' => $count]),
            $calendar->fetched_at === null => $calendar->why === null ? __('calendars.state.first') : __('calendars.state.never'),
            $calendar->why !== null => __('calendars.state.failing', ['when' => $when($calendar->fetched_at), 'entries' => $count]),
            default => __('calendars.state.address', ['when' => $when($calendar->fetched_at), 'next' => $when($calendar->next_at), 'entries' => $count]),
        };
    }
}
