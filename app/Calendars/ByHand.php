<?php

declare(strict_types=1);

namespace App\Calendars;

use App\ICalendar\EventGroup;
use App\ICalendar\UnreadableCalendar;
use App\Meetings\StoreMeeting;
use App\Meetings\TakeEvents;
use App\Models\Meeting;
use App\Models\Occurrence;
use App\Models\PlanRevision;
use App\Models\RevisionCause;
use App\Models\User;
use App\Planning\Replan;
use App\Time\Moments;
use App\Time\Zones;
use Carbon\CarbonImmutable;
use Illuminate\Support\Str;
use Nekto\Core\Capture\FirstDay;
use Nekto\Core\Recurrence\MovedRule;
use Nekto\Core\Time\LocalDay;

/** Meetings that the person writes down, changes, ends and takes away: in the calendar that is kept here. The plan follows at once. */
final readonly class ByHand
{
    /** Meetings of one account that were written down and are there. */
    public const MOST = 2000;

    public function __construct(private Replan $replan) {}

    /** @throws UnreadableCalendar if it comes back by a rule that never comes */
    public function add(User $user, OwnMeeting $own, CarbonImmutable $now): ?PlanRevision
    {
        return $this->follow($user, $now, static function () use ($user, $own, $now): void {
            $calendar = Calendars::here($user);
            $meeting = $calendar->meetings()->make(['uid' => Str::uuid().'@nekto', 'summary' => $own->title, 'source' => ''])->forceFill(['user_id' => $user->id]);
            self::store($user, $meeting, $own, $now);
        });
    }

    /**
     * Another time, another name: of one of its times, or of all.
     *
     * @param  array{title: string, place: string|null, link: string|null, day: string, minute: int|null, minutes: int}  $as
     * @param  string|null  $rule  how it comes back; null: not
     *
     * @throws UnreadableCalendar
     */
    public function change(User $user, Occurrence $occurrence, array $as, ?string $rule, bool $whole, CarbonImmutable $now): ?PlanRevision
    {
        $own = self::of($occurrence->meeting);
        if ($whole || $own->rule === null) {
            $new = self::whole($own, $as, $rule, LocalDay::fromString($as['day'])->number - Zones::named($own->zone)->dayOf(Moments::minute($occurrence->starts_at))->number);
        } else {
            $new = $own->with(['moved' => [$occurrence->instance => $as] + $own->moved]);
        }

        return $this->follow($user, $now, static fn () => self::store($user, $occurrence->meeting, $new, $now));
    }

    /** Takes one of its times away, it from that time on, or all of it. */
    public function remove(User $user, Occurrence $occurrence, Removal $what, CarbonImmutable $now): ?PlanRevision
    {
        $meeting = $occurrence->meeting;
        $own = self::of($meeting);
        $instance = $occurrence->instance;
        $isFirst = $instance === '' || Moments::stored($instance) <= $own->start();

        return $this->follow($user, $now, static function () use ($user, $meeting, $own, $instance, $what, $isFirst, $now): void {
            match (true) {
                $what === Removal::All, $own->rule === null, $what === Removal::FromHere && $isFirst => $meeting->update(['gone_at' => CarbonImmutable::createFromTimestamp(0, 'UTC')]),
                $what === Removal::FromHere => self::store($user, $meeting, self::ended($own, $instance), $now),
                default => self::store($user, $meeting, $own->with(['without' => array_values(array_unique([...$own->without, $instance])), 'moved' => array_diff_key($own->moved, [$instance => true])]), $now),
            };
        });
    }

    /**
     * Reads meetings once more that undo or redo has brought back.
     *
     * @param  list<int>  $meetings  by id
     */
    public static function again(User $user, array $meetings, CarbonImmutable $now): void
    {
        foreach ($user->meetings()->whereKey($meetings)->whereNotNull('by_hand')->get() as $meeting) {
            $gone = $meeting->gone_at;
            self::store($user, $meeting, self::of($meeting), $now);
            $gone === null || $meeting->update(['gone_at' => $gone]);
        }
    }

    public static function of(Meeting $meeting): OwnMeeting
    {
        return OwnMeeting::fromJson($meeting->by_hand ?? throw new \LogicException('Only what was written by hand is changed here.'));
    }

    /**
     * All its times are otherwise, and move by as many days; what was taken away, or moved, of the same times stays so.
     *
     * @param  array{title: string, place: string|null, link: string|null, day: string, minute: int|null, minutes: int}  $as
     *
     * @throws UnreadableCalendar if its rule names days that do not move along
     */
    private static function whole(OwnMeeting $own, array $as, ?string $rule, int $days): OwnMeeting
    {
        $first = $own->rule === null ? LocalDay::fromString($as['day']) : LocalDay::fromString($own->day)->plusDays($days);
        $isSame = $rule === $own->rule && ($as['minute'] === null) === ($own->minute === null);
        if ($rule !== null && $rule === $own->rule && $days !== 0) {
            $rule = MovedRule::by($rule, $days) ?? throw new UnreadableCalendar(__('meetings.own.days_of_rule'));
        }
        $first = $rule === null ? $first : FirstDay::of($rule, $first); // a day that the rule does not name would come once more than it says
        $zone = Zones::named($own->zone);
        $along = static fn (string $one): string => Moments::moment($zone->at($zone->dayOf(Moments::stored($one))->plusDays($days), $as['minute'] ?? 0))->toDateTimeString();

        return $own->with([
            ...$as, 'day' => $first->asString(), 'rule' => $rule,
            'without' => $isSame ? array_map($along, $own->without) : [],
            'moved' => $isSame ? array_combine(array_map($along, array_keys($own->moved)), $own->moved) : [],
        ]);
    }

    private static function ended(OwnMeeting $own, string $instance): OwnMeeting
    {
        $last = Zones::named($own->zone)->dayOf(Moments::stored($instance))->plusDays(-1);
        $rule = (string) preg_replace('/;?(?:UNTIL|COUNT)=[^;]*/', '', (string) $own->rule);

        return $own->with([
            'rule' => ltrim($rule.';UNTIL='.str_replace('-', '', $last->asString()), ';'),
            'without' => array_values(array_filter($own->without, static fn (string $one): bool => $one < $instance)),
            'moved' => array_filter($own->moved, static fn (string $one): bool => $one < $instance, ARRAY_FILTER_USE_KEY),
        ]);
    }

    private static function store(User $user, Meeting $meeting, OwnMeeting $own, CarbonImmutable $now): void
    {
        $text = $own->text($meeting->uid);
        $meeting->fill(['by_hand' => $own->json(), 'source' => $text]);
        StoreMeeting::now($meeting, TakeEvents::read(TakeEvents::reader($user, $now), new EventGroup($meeting->uid, 1, $text)), $now);
    }

    /** @param  \Closure(): mixed  $change */
    private function follow(User $user, CarbonImmutable $now, \Closure $change): ?PlanRevision
    {
        return $this->replan->after($user, $now, static function () use ($change): void {
            $change();
        }, RevisionCause::Changed);
    }
}
