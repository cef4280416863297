<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Nekto\Core\Plan\DayBegins;

/**
 * A person with an account.
 *
 * @property int $id
 * @property string $name
 * @property string $email
 * @property string $zone IANA time zone
 * @property int $margin_percent
 * @property int $buffer_before minutes
 * @property int $buffer_after minutes
 * @property int|null $lunch_from minutes since local midnight
 * @property int|null $lunch_to minutes since local midnight
 * @property int $deep_limit minutes a day
 * @property EstimateUse $estimates which value of an estimate the plan lays out
 * @property string $addresses separated by commas
 * @property DayBegins $day_begins
 * @property array<string, list<array{string, string}>>|null $best_hours a week, as hours sets have it
 * @property int $offer_anew weighted minutes of lateness that laying out anew must save to be offered; 0: never
 * @property int $least_piece minutes: no shorter piece of a task is laid
 * @property string $tempo calm, even or eager: how readily planning moves what has a place
 * @property string $theme auto, light or dark
 * @property bool $single_keys
 * @property bool $month_first 3/4 is the fourth of March
 * @property bool $mend_asks what mending would move is shown first
 * @property string $reminds what to be reminded of: meetings, blocks, due, waiting, close, review, report, with commas
 * @property int $remind_before minutes
 * @property bool $remind_mail by mail too
 * @property int|null $close_at minutes since local midnight
 * @property bool $sound on completion
 * @property int|null $rhythm_work minutes of work before a break; null = no rhythm
 * @property int $rhythm_break minutes
 * @property int $rhythm_long minutes of the long break
 * @property int $rhythm_after so many stretches of work
 * @property int $ask_after days after which an answer is asked about, where nobody said when
 * @property int|null $someday_after days untouched after which a task goes to someday; null: never
 * @property int $keys_most key tasks of a day, at most
 * @property int $morning_until minutes since local midnight
 * @property int $afternoon_until minutes since local midnight
 * @property int|null $sleep_from minutes since local midnight; null: hours alone say when nothing is planned
 * @property int|null $sleep_to minutes since local midnight
 * @property bool $twelve_hours 2:30 pm
 * @property string $dates in which language and order: a key of App\Wording\Dates
 * @property int $week_starts 1 Monday to 7 Sunday
 * @property int|null $review_on the day of the weekly review, 1 Monday to 7 Sunday; null: none
 * @property int $review_at minutes since local midnight
 * @property bool $encourages a quiet line says what went well
 * @property int|null $lens_id the group that every screen is narrowed to
 * @property array<string, string>|null $first_day which of its steps are over, and how; null: all of it is
 * @property int|null $sample_of the account that looks at this sample
 * @property string|null $morning_on Y-m-d, the day whose morning run is over
 * @property string|null $looked_after_at UTC, as it is stored: the minute whose work the worker has done
 * @property string|null $read_as of its zone and addresses, as whose its meetings were read
 * @property string $password its hash
 * @property string|null $second_secret of the second factor, encrypted
 * @property CarbonImmutable|null $second_since UTC; null: there is no second factor, or none that was confirmed
 * @property int|null $second_step whose code was used last
 * @property list<string>|null $recovery digests of the recovery codes that are left
 * @property int|null $idle_minutes after which a sign-in is over; null: as the application has it
 * @property CarbonImmutable|null $leaves_at UTC; the account is gone then
 * @property bool $carry_picks a pick that was not done stands for the next day by itself; else it is offered again
 */
final class User extends Authenticatable
{
    use WakesQuickly;

    protected $fillable = [
        'name', 'email', 'password', 'zone', 'margin_percent', 'buffer_before', 'buffer_after', 'lunch_from', 'lunch_to',
        'deep_limit', 'estimates', 'addresses', 'theme', 'single_keys', 'tempo', 'least_piece', 'offer_anew', 'day_begins', 'best_hours', 'month_first', 'carry_picks', 'mend_asks', 'reminds', 'remind_before',
        'remind_mail', 'close_at', 'sound', 'rhythm_work', 'rhythm_break', 'rhythm_long', 'rhythm_after', 'morning_on',
        'keys_most', 'ask_after', 'someday_after', 'morning_until', 'afternoon_until', 'sleep_from', 'sleep_to', 'twelve_hours', 'dates', 'week_starts', 'review_on', 'review_at', 'encourages', 'lens_id', 'first_day',
    ];

    protected $hidden = ['password', 'remember_token', 'second_secret', 'recovery'];

    /** A new account's settings, until they are stored and read back. */
    protected $attributes = [
        'second_secret' => null, 'second_since' => null, 'second_step' => null, 'recovery' => null, 'idle_minutes' => null, 'leaves_at' => null,
        'looked_after_at' => null, 'read_as' => null, 'zone' => 'UTC', 'margin_percent' => 20, 'buffer_before' => 0, 'buffer_after' => 0, 'lunch_from' => null,
        'lunch_to' => null, 'deep_limit' => 240, 'estimates' => 'typed', 'addresses' => '', 'theme' => 'auto', 'single_keys' => true, 'tempo' => 'calm', 'least_piece' => 30, 'offer_anew' => 480, 'day_begins' => 'pull', 'best_hours' => null, 'month_first' => false, 'carry_picks' => true,
        'mend_asks' => false, 'reminds' => 'meetings,blocks,due,waiting,close,review,report', 'remind_before' => 5, 'remind_mail' => false, 'close_at' => 1035, 'sound' => true,
        'rhythm_work' => null, 'rhythm_break' => 10, 'rhythm_long' => 30, 'rhythm_after' => 4, 'morning_on' => null,
        'ask_after' => 7, 'someday_after' => null, 'keys_most' => 3, 'morning_until' => 720, 'afternoon_until' => 1080, 'sleep_from' => null, 'sleep_to' => null, 'twelve_hours' => false, 'dates' => 'en', 'week_starts' => 1, 'review_on' => 5, 'review_at' => 1020, 'encourages' => true, 'lens_id' => null, 'first_day' => null, 'sample_of' => null,
    ];

    /** @return HasMany<HoursSet, $this> */
    public function hoursSets(): HasMany
    {
        return $this->hasMany(HoursSet::class)->orderBy('position')->orderBy('id');
    }

    /** @return HasMany<Area, $this> */
    public function areas(): HasMany
    {
        return $this->hasMany(Area::class)->orderBy('position')->orderBy('id');
    }

    /** @return HasMany<Task, $this> */
    public function tasks(): HasMany
    {
        return $this->hasMany(Task::class);
    }

    /** @return HasMany<Block, $this> */
    public function blocks(): HasMany
    {
        return $this->hasMany(Block::class);
    }

    /** @return HasMany<Entry, $this> */
    public function entries(): HasMany
    {
        return $this->hasMany(Entry::class);
    }

    /** @return HasMany<Calendar, $this> those that were removed too */
    public function calendars(): HasMany
    {
        return $this->hasMany(Calendar::class)->orderBy('position')->orderBy('id');
    }

    /** @return HasMany<CalendarGroup, $this> */
    public function calendarGroups(): HasMany
    {
        return $this->hasMany(CalendarGroup::class)->orderBy('position')->orderBy('id');
    }

    /** @return HasMany<Meeting, $this> */
    public function meetings(): HasMany
    {
        return $this->hasMany(Meeting::class);
    }

    /** @return HasMany<Occurrence, $this> */
    public function occurrences(): HasMany
    {
        return $this->hasMany(Occurrence::class);
    }

    /** @return HasMany<Intake, $this> */
    public function intakes(): HasMany
    {
        return $this->hasMany(Intake::class);
    }

    /** @return HasMany<PlanRevision, $this> */
    public function planRevisions(): HasMany
    {
        return $this->hasMany(PlanRevision::class);
    }

    /** @return HasMany<EarlyEnd, $this> */
    public function earlyEnds(): HasMany
    {
        return $this->hasMany(EarlyEnd::class);
    }

    /** @return HasMany<Reserve, $this> */
    public function reserves(): HasMany
    {
        return $this->hasMany(Reserve::class)->orderBy('starts_at');
    }

    /** @return HasMany<MeetingNote, $this> */
    public function meetingNotes(): HasMany
    {
        return $this->hasMany(MeetingNote::class);
    }

    /** @return HasMany<Reminder, $this> */
    public function reminders(): HasMany
    {
        return $this->hasMany(Reminder::class);
    }

    /** @return HasMany<OutboxMail, $this> */
    public function outboxMails(): HasMany
    {
        return $this->hasMany(OutboxMail::class);
    }

    /** @return HasMany<Promise, $this> */
    public function promises(): HasMany
    {
        return $this->hasMany(Promise::class);
    }

    /** @return HasMany<ClosedDay, $this> */
    public function closedDays(): HasMany
    {
        return $this->hasMany(ClosedDay::class);
    }

    /** @return HasMany<Project, $this> */
    public function projects(): HasMany
    {
        return $this->hasMany(Project::class)->orderBy('name');
    }

    /** @return HasMany<Context, $this> */
    public function contexts(): HasMany
    {
        return $this->hasMany(Context::class)->orderBy('position')->orderBy('name');
    }

    /** @return HasMany<Message, $this> */
    public function messages(): HasMany
    {
        return $this->hasMany(Message::class);
    }

    /** @return HasMany<Attachment, $this> */
    public function attachments(): HasMany
    {
        return $this->hasMany(Attachment::class);
    }

    /** @return HasMany<Template, $this> */
    public function templates(): HasMany
    {
        return $this->hasMany(Template::class)->orderBy('name');
    }

    /** @return HasMany<Repeat, $this> */
    public function repeats(): HasMany
    {
        return $this->hasMany(Repeat::class);
    }

    /** @return HasMany<SavedView, $this> */
    public function savedViews(): HasMany
    {
        return $this->hasMany(SavedView::class)->orderBy('position')->orderBy('id');
    }

    /** @return HasMany<CaptureToken, $this> */
    public function captureTokens(): HasMany
    {
        return $this->hasMany(CaptureToken::class)->orderBy('id');
    }

    /** @return HasMany<SignIn, $this> */
    public function signIns(): HasMany
    {
        return $this->hasMany(SignIn::class);
    }

    /** @return HasMany<AccountNote, $this> */
    public function accountNotes(): HasMany
    {
        return $this->hasMany(AccountNote::class);
    }

    /** @return HasMany<MailedLink, $this> */
    public function mailedLinks(): HasMany
    {
        return $this->hasMany(MailedLink::class);
    }

    /** @return HasMany<Subtask, $this> */
    public function subtasks(): HasMany
    {
        return $this->hasMany(Subtask::class);
    }

    /** @return HasMany<Link, $this> */
    public function links(): HasMany
    {
        return $this->hasMany(Link::class);
    }

    /** @return HasMany<Section, $this> */
    public function sections(): HasMany
    {
        return $this->hasMany(Section::class);
    }

    /** @return HasMany<TaskEvent, $this> */
    public function taskEvents(): HasMany
    {
        return $this->hasMany(TaskEvent::class);
    }

    /** @return HasMany<Routine, $this> */
    public function routines(): HasMany
    {
        return $this->hasMany(Routine::class)->orderBy('at')->orderBy('id');
    }

    /** @return HasMany<LunchDay, $this> */
    public function lunchDays(): HasMany
    {
        return $this->hasMany(LunchDay::class);
    }

    /** @return HasMany<Cycle, $this> the newest first */
    public function cycles(): HasMany
    {
        return $this->hasMany(Cycle::class)->orderByDesc('begins_on')->orderByDesc('id');
    }

    /** @return HasMany<Goal, $this> */
    public function goals(): HasMany
    {
        return $this->hasMany(Goal::class)->orderBy('position')->orderBy('id');
    }

    /** @return HasMany<GoalStep, $this> */
    public function goalSteps(): HasMany
    {
        return $this->hasMany(GoalStep::class)->orderBy('week_on')->orderBy('id');
    }

    /** @return HasMany<Habit, $this> */
    public function habits(): HasMany
    {
        return $this->hasMany(Habit::class)->orderBy('position')->orderBy('id');
    }

    /** @return HasMany<Review, $this> the newest first */
    public function reviews(): HasMany
    {
        return $this->hasMany(Review::class)->orderByDesc('week_on');
    }

    /** @return HasMany<Report, $this> */
    public function reports(): HasMany
    {
        return $this->hasMany(Report::class)->orderBy('position')->orderBy('id');
    }

    /** Where something new goes that says no area: the first; while the person looks through a lens, the first that it lets through. */
    public function usualArea(): int
    {
        $seen = $this->lens_id === null ? null : $this->areas()->where('group_id', $this->lens_id)->value('id');

        return (int) ($seen ?? $this->areas()->value('id'));
    }

    /** @return array<string, array{int, int}> minutes of the local day from and until, by the name of the part */
    public function dayParts(): array
    {
        return ['morning' => [0, $this->morning_until], 'afternoon' => [$this->morning_until, $this->afternoon_until], 'evening' => [$this->afternoon_until, 1440]];
    }

    /** @return list<string> every address under which a calendar may know the person, in lower case */
    public function calendarAddresses(): array
    {
        $all = array_map(trim(...), explode(',', strtolower("{$this->email},{$this->addresses}")));

        return array_values(array_filter($all, static fn (string $address): bool => $address !== ''));
    }

    /** The moment as the person's clock shows it. */
    public function local(CarbonImmutable $moment): CarbonImmutable
    {
        return $moment->setTimezone($this->zone);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'password' => 'hashed', 'second_since' => 'immutable_datetime', 'leaves_at' => 'immutable_datetime', 'recovery' => 'array', 'second_step' => 'integer', 'idle_minutes' => 'integer', 'single_keys' => 'boolean', 'month_first' => 'boolean', 'carry_picks' => 'boolean', 'mend_asks' => 'boolean', 'remind_mail' => 'boolean', 'sound' => 'boolean',
            'remind_before' => 'integer', 'close_at' => 'integer', 'rhythm_work' => 'integer', 'rhythm_break' => 'integer', 'rhythm_long' => 'integer', 'rhythm_after' => 'integer', 'margin_percent' => 'integer', 'ask_after' => 'integer', 'someday_after' => 'integer', 'buffer_before' => 'integer',
            'buffer_after' => 'integer', 'deep_limit' => 'integer', 'least_piece' => 'integer', 'offer_anew' => 'integer', 'day_begins' => DayBegins::class, 'best_hours' => 'array', 'estimates' => EstimateUse::class, 'lunch_from' => 'integer', 'lunch_to' => 'integer',
            'keys_most' => 'integer', 'morning_until' => 'integer', 'afternoon_until' => 'integer', 'sleep_from' => 'integer', 'sleep_to' => 'integer', 'twelve_hours' => 'boolean', 'week_starts' => 'integer', 'first_day' => 'array',
        ];
    }
}
