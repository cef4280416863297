<?php

declare(strict_types=1);

namespace App\Screens\Settings;

use App\Models\Block;
use App\Models\BlockState;
use App\Models\EstimateUse;
use App\Models\Occurrence;
use App\Models\RevisionCause;
use App\Models\TaskStage;
use App\Planning\Expected;
use App\Rows\Blocks;
use App\Rows\Desk;
use App\Rows\PastRatios;
use App\Rows\Picks;
use App\Rows\RowMapper;
use App\Time\Moments;
use App\Wording\Times;
use Illuminate\Support\Facades\DB;
use Nekto\Core\Task\Demand;

/** What each rule does today, in a few words. */
final class RulesToday
{
    /** Names of meetings that are said. */
    private const NAMED = 2;

    /** @var array<string, int>|null */
    private ?array $counts = null;

    public function __construct(private readonly Desk $desk, private readonly Expected $expected, private readonly PastRatios $past) {}

    /** @return array<string, string> by the rule's name */
    public function rules(): array
    {
        [$user, $day] = [$this->desk->user(), $this->desk->today()];
        $time = $this->desk->timeOn($day);
        $blocks = $this->desk->blocksOn($day)->reject(static fn (Block $block): bool => $block->state === BlockState::Passed);
        $main = $time->sets->first();
        $load = $main === null ? null : $time->load($main->id, $day, Blocks::anchored($blocks));
        $deep = (int) $blocks->filter(static fn (Block $block): bool => $block->task->demand === Demand::Deep)->sum(static fn (Block $block): int => RowMapper::time($block)->length());
        $shortest = $blocks->filter(static fn (Block $block): bool => $block->isPlanned())->map(static fn (Block $block): int => RowMapper::time($block)->length())->min();

        return [
            'margin' => $load === null ? '' : __('settings.today.margin', ['margin' => Times::duration($load->margin), 'open' => Times::duration($load->open)]),
            'deep' => __('settings.today.deep', ['minutes' => Times::duration($deep)]),
            'lunch' => __($user->lunch_from === null ? 'settings.today.no_lunch' : 'settings.today.lunch'),
            'keys' => trans_choice('settings.today.keys', $this->counts()['keys']),
            'least' => $shortest === null ? __('settings.today.least') : __('settings.today.least_is', ['minutes' => Times::duration((int) $shortest)]),
            'begins' => __('settings.today.begins'),
            'parts' => trans_choice('settings.today.parts', $this->counts()['parts']),
            'sleep' => __($user->sleep_from === null ? 'settings.today.no_sleep' : 'settings.today.sleep'),
        ];
    }

    /** @return array<string, string> */
    public function meetings(): array
    {
        [$user, $time] = [$this->desk->user(), $this->desk->timeOn($this->desk->today())];
        $span = $time->zone->day($time->first);
        $timed = $time->occurrences->filter(static fn (Occurrence $one): bool => $one->interrupts() && RowMapper::time($one)->overlaps($span));
        $around = (int) $timed->sum(static fn (Occurrence $one): int => RowMapper::withBuffers($one, $user)->length() - RowMapper::time($one)->length());
        $own = $timed->filter(static fn (Occurrence $one): bool => RowMapper::before($one, $user) !== $user->buffer_before)->map(static fn (Occurrence $one): string => $one->shownName())->unique()->values();

        return [
            'buffers' => implode(' ', array_filter([
                trans_choice('settings.today.buffers', $timed->count(), ['minutes' => Times::duration($around)]),
                $own->isEmpty() ? '' : trans_choice('settings.today.own_buffers', $own->count(), ['names' => $own->take(self::NAMED)->implode(', ').($own->count() > self::NAMED ? ' …' : '')]),
            ])),
            'addresses' => __('settings.today.addresses', ['address' => $user->email]),
            'calendars' => trans_choice('settings.today.calendars', $this->counts()['calendars']),
        ];
    }

    /** @return array<string, string> */
    public function life(): array
    {
        $user = $this->desk->user();

        return [
            'tempo' => trans_choice('settings.today.tempo', $this->counts()['moved']),
            'asks' => __($user->mend_asks ? 'settings.today.asks' : 'settings.today.mends'),
            'ask' => __('settings.today.ask', ['when' => Times::day($user, Moments::moment($this->desk->timeOn($this->desk->today())->zone->at($this->desk->today()->plusDays($user->ask_after), 720)), $this->desk->now)]),
            'someday' => $user->someday_after === null ? __('settings.today.never_someday') : __('settings.today.someday'),
            'carry' => trans_choice('settings.today.carry', $this->counts()['over']),
            'anew' => $user->offer_anew === 0 ? __('settings.today.never_anew') : __('settings.today.anew'),
        ];
    }

    /** @return array<string, string> */
    public function rhythm(): array
    {
        $user = $this->desk->user();

        return [
            'rhythm' => $user->rhythm_work === null ? __('settings.today.no_rhythm') : trans_choice('settings.today.rhythm', $user->rhythm_after, ['minutes' => $user->rhythm_long]),
            'reminds' => trans_choice('settings.today.reminded', $this->counts()['reminded']),
            'close' => __($user->close_at === null ? 'settings.today.no_close' : 'settings.today.close'),
            'review' => __($user->review_on === null ? 'settings.today.no_review' : 'settings.today.review'),
        ];
    }

    /** @return array<string, string> */
    public function estimates(): array
    {
        $user = $this->desk->user();
        $from = Moments::moment($this->desk->timeOn($this->desk->today())->span()->start);
        $tasks = array_values(array_unique($user->blocks()->planned()->where('starts_at', '>=', $from)->where('starts_at', '<', $from->addWeek())->pluck('task_id')->all()));
        $other = $user->estimates === EstimateUse::Careful ? EstimateUse::Likely : EstimateUse::Careful;
        $more = $this->expected->wouldAdd($user, $other, $tasks);

        return [
            'pairs' => trans_choice('settings.pairs', count($this->past->pairs($user))),
            'other' => $more === 0 ? '' : __($more > 0 ? 'settings.today.would_add' : 'settings.today.would_take', ['what' => __("settings.uses.{$other->value}"), 'minutes' => Times::duration(abs($more))]),
        ];
    }

    /** @return array<string, string> */
    public function mail(): array
    {
        $user = $this->desk->user();

        return ['waiting' => trans_choice('settings.today.messages', $user->messages()->where('state', 'new')->count()), 'tokens' => trans_choice('settings.today.tokens', $user->captureTokens()->count())];
    }

    /** @return array<string, string> */
    public function take(): array
    {
        $user = $this->desk->user();

        return ['tasks' => trans_choice('settings.today.tasks', $user->tasks()->whereIn('stage', [TaskStage::Inbox, TaskStage::Open])->whereNull('done_at')->count())];
    }

    /** @return array<string, int> what is counted for the rules, in one question */
    private function counts(): array
    {
        if ($this->counts === null) {
            [$user, $day] = [$this->desk->user(), $this->desk->today()];
            $since = Moments::moment($this->desk->timeOn($day)->zone->day($day)->start);
            $picks = new Picks($user, $day);
            $asked = DB::query();
            foreach ([
                'keys' => $picks->of($user->tasks()->where('key', true)->getQuery(), $day)->toBase(),
                'over' => $picks->of($user->tasks()->whereNull('done_at')->where('picked_on', '<', $day->asString())->getQuery(), $day)->toBase(),
                'parts' => $user->tasks()->open()->whereNotNull('part')->toBase(),
                'calendars' => $user->calendars()->kept()->toBase()->reorder(),
                'moved' => $user->planRevisions()->where('made_at', '>=', $since)->whereIn('cause', RevisionCause::AUTOMATIC)->toBase(),
                'reminded' => $user->reminders()->where('at', '>=', $since)->toBase(),
            ] as $name => $rows) {
                $asked->selectSub($rows->selectRaw('count(*)'), $name);
            }
            $this->counts = array_map(intval(...), (array) $asked->first());
        }

        return $this->counts;
    }
}
