<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Find\Question;
use App\Models\Area;
use App\Models\BlockState;
use App\Models\EstimateUse;
use App\Models\GoalStep;
use App\Models\MovedBy;
use App\Models\Report;
use App\Models\TaskStage;
use App\Rows\AccountRow;
use App\Wording\Dates;
use Carbon\CarbonImmutable;
use Nekto\Core\Hours\WeeklyHours;
use Nekto\Core\Plan\DayBegins;
use Nekto\Core\Plan\ReasonCode;
use Nekto\Core\Plan\Tempo;
use Nekto\Core\Pressure\Push;
use Nekto\Core\Recurrence\Rule;
use Nekto\Core\Recurrence\RuleRefused;
use Nekto\Core\Task\Demand;
use Nekto\Core\Task\Importance;

/** Values of a file that may have been changed by hand: what its column could not hold is left out. */
final class OwnValues
{
    private const LONG = ['note' => 20_000, 'typed' => 2000, 'address' => 2000, 'went_well' => 2000, 'in_the_way' => 2000, 'tomorrow' => 2000, 'vision' => 20_000, 'purpose' => 300];

    private const BOOLEANS = [
        'due_hard', 'key', 'splits', 'by_steps', 'sequential', 'anchored', 'put_back', 'break', 'deep', 'dropped', 'everywhere', 'pinned', 'single_keys', 'month_first', 'carry_picks', 'mend_asks', 'remind_mail', 'sound', 'twelve_hours', 'private', 'weekly', 'encourages',
    ];

    private const DAYS = ['due_on', 'occurs_on', 'picked_on', 'waiting_since', 'ask_on', 'return_on', 'begins_on', 'date', 'week_on'];

    private const MOMENTS = ['due_at', 'not_before', 'said_at', 'done_at', 'deleted_at', 'created_at', 'updated_at', 'set_at', 'paused_at', 'ended_at', 'starts_at', 'ends_at', 'at', 'taken_at', 'closed_at', 'from_at', 'until_at', 'begun_at', 'due'];

    /** Smallest and largest. */
    private const NUMBERS = [
        'estimate' => [1, 60_000], 'said' => [0, 60_000], 'estimate_begun' => [1, 60_000], 'expected' => [1, 60_000], 'min_chunk' => [5, 1440], 'max_chunk' => [5, 1440], 'carried' => [0, 999], 'position' => [0, 1_000_000],
        'minutes' => [1, 1440], 'margin_percent' => [0, 80], 'buffer_before' => [0, 240], 'buffer_after' => [0, 240], 'lunch_from' => [0, 1440], 'lunch_to' => [0, 1440], 'deep_limit' => [0, 1440], 'remind_before' => [0, 240],
        'close_at' => [0, 1440], 'rhythm_work' => [5, 240], 'rhythm_break' => [1, 120], 'rhythm_long' => [1, 240], 'rhythm_after' => [1, 12], 'least_piece' => [25, 60], 'offer_anew' => [0, 9999], 'keys_most' => [1, 9],
        'morning_until' => [0, 1440], 'afternoon_until' => [0, 1440], 'sleep_from' => [0, 1440], 'sleep_to' => [0, 1440], 'ask_after' => [1, 90], 'someday_after' => [7, 365], 'from' => [0, 1440], 'to' => [0, 1440],
        'times' => [1, 7], 'best_at' => [0, 1439], 'weeks' => [1, 26], 'step' => [1, 7], 'place' => [0, 999], 'percent' => [0, 100], 'remind_on' => [1, 7], 'remind_at' => [0, 1439], 'review_on' => [1, 7], 'review_at' => [0, 1439],
    ];

    /**
     * The columns of a kind that a line says, each as its table holds it.
     *
     * @param  array<array-key, mixed>  $line
     * @return array<string, int|string|null>
     */
    public static function columns(string $kind, array $line): array
    {
        $columns = [];
        foreach (OwnFormat::COLUMNS[$kind] as $column) {
            if (array_key_exists($column, $line)) {
                $columns[$column] = self::value($kind, $column, $line[$column]);
            }
        }

        return $columns;
    }

    private static function value(string $kind, string $column, mixed $value): int|string|null
    {
        if ($value === null) {
            return null;
        }
        if (in_array($kind, ['routine', 'habit'], true) && in_array($column, ['from', 'until'], true)) {
            return self::day($value);
        }
        if ($kind === 'report' && $column === 'to') {
            return is_string($value) && filter_var($value, FILTER_VALIDATE_EMAIL) !== false ? mb_substr($value, 0, 200) : null;
        }
        if (in_array($column, ['target', 'value'], true)) {
            return (is_int($value) || is_float($value)) && $value >= ($column === 'target' ? 0.01 : -10_000_000) && $value <= 10_000_000 ? (string) $value : null;
        }
        if (in_array($kind, ['routine', 'routine_day'], true) && $column === 'at') {
            return self::number($value, 0, 1439);
        }

        return match (true) {
            in_array($column, OwnFormat::JSON, true) => is_array($value) ? self::json($kind, $column, $value) : null,
            in_array($column, self::BOOLEANS, true) => is_scalar($value) ? (int) (bool) $value : 0,
            in_array($column, self::DAYS, true) => self::day($value),
            in_array($column, self::MOMENTS, true) => self::moment($value),
            isset(self::NUMBERS[$column]) => self::number($value, ...self::NUMBERS[$column]),
            $column === 'importance' => is_int($value) ? Importance::tryFrom($value)?->value : null,
            $column === 'push' => is_int($value) ? Push::tryFrom($value)?->value : null,
            $column === 'rule' => self::rule($value),
            $column === 'after_done' => is_string($value) && preg_match('/^P\d{1,3}[DWMY]$/D', $value) === 1 ? $value : null,
            default => is_string($value) ? self::word($kind, $column, $value) : null,
        };
    }

    /** Null where it is none of the words that a column knows. */
    private static function word(string $kind, string $column, string $value): ?string
    {
        $known = match ($column) {
            'stage' => TaskStage::tryFrom($value) !== null,
            'demand' => Demand::tryFrom($value) !== null,
            'part' => in_array($value, ['morning', 'afternoon', 'evening'], true),
            'state' => BlockState::tryFrom($value) !== null,
            'hue' => in_array($value, Area::HUES, true),
            'theme' => in_array($value, ['auto', 'light', 'dark'], true),
            'tempo' => Tempo::tryFrom($value) !== null,
            'estimates' => EstimateUse::tryFrom($value) !== null,
            'day_begins' => DayBegins::tryFrom($value) !== null,
            'dates' => isset(Dates::LANGUAGES[$value]),
            'zone' => in_array($value, \DateTimeZone::listIdentifiers(), true),
            'days_off' => in_array($value, ['keep', 'skip', 'shift'], true),
            'how' => in_array($value, ['proposal', 'laid_out', 'hours'], true),
            'days' => preg_match('/^(?:'.implode('|', WeeklyHours::WEEKDAYS).')(?:,(?:'.implode('|', WeeklyHours::WEEKDAYS).'))*$/D', $value) === 1,
            'fate' => in_array($value, [GoalStep::OVER, GoalStep::LET_GO], true),
            'moved_by' => MovedBy::tryFrom($value) !== null,
            'scope' => in_array($value, Report::SCOPES, true),
            'sections' => $value !== '' && array_diff(explode(',', $value), Report::SECTIONS) === [],
            'reminds' => preg_match('/^[a-z,]*$/D', $value) === 1,
            default => true,
        };

        return $known ? mb_substr(mb_scrub($value), 0, self::LONG[$column] ?? 200) : null;
    }

    private static function number(mixed $value, int $least, int $most): ?int
    {
        return is_int($value) && $value >= $least && $value <= $most ? $value : null;
    }

    private static function day(mixed $value): ?string
    {
        return is_string($value) && preg_match('/^(\d{4})-(\d{2})-(\d{2})$/D', $value, $part) === 1 && checkdate((int) $part[2], (int) $part[3], (int) $part[1]) ? $value : null;
    }

    private static function moment(mixed $value): ?string
    {
        if (! is_string($value) || preg_match('/^\d{4}-\d{2}-\d{2}[ T]\d{2}:\d{2}(?::\d{2})?Z?$/D', $value) !== 1 || self::day(substr($value, 0, 10)) === null) {
            return null;
        }

        return rescue(static fn (): string => CarbonImmutable::parse($value, 'UTC')->format('Y-m-d H:i:s'), null, false);
    }

    private static function rule(mixed $value): ?string
    {
        try {
            is_string($value) && Rule::read($value);
        } catch (RuleRefused) {
            return null;
        }

        return is_string($value) ? mb_substr($value, 0, 200) : null;
    }

    /** @param  array<array-key, mixed>  $value */
    private static function json(string $kind, string $column, array $value): ?string
    {
        $clean = match ($column) {
            'week', 'best_hours' => self::week($value),
            'stretches' => self::stretches($value),
            'parts' => array_values(array_map(static fn (array $one): array => ['title' => mb_substr((string) $one['title'], 0, 200), 'minutes' => self::number($one['minutes'] ?? null, 1, 1440)], array_filter($value, static fn (mixed $one): bool => is_array($one) && is_string($one['title'] ?? null)))),
            'ticked' => array_values(array_filter($value, is_int(...))),
            'tasks' => self::promised($value),
            'slips' => (object) array_map(static fn (mixed $one): string => mb_substr(is_string($one) ? $one : '', 0, 300), $value),
            'question' => Question::of($value)->asArray(),
            'reasons' => self::reasons($value),
            'account' => $kind === 'cycle' || $kind === 'review' ? KeptAccount::of($kind, $value) : self::account($value),
            'caught' => (object) array_filter($value, is_int(...)),
            'kept' => array_values(array_filter($value, is_int(...))),
            default => $value,
        };

        return $clean === null ? null : json_encode($clean, JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE);
    }

    /**
     * @param  array<array-key, mixed>  $value
     * @return array<string, list<array{string, string}>>
     */
    private static function week(array $value): array
    {
        $week = [];
        foreach (WeeklyHours::WEEKDAYS as $day) {
            $stretches = is_array($value[$day] ?? null) ? self::stretches($value[$day]) : [];
            $stretches === [] || $week[$day] = $stretches;
        }

        return $week;
    }

    /**
     * Such as follow each other.
     *
     * @param  array<array-key, mixed>  $value
     * @return list<array{string, string}>
     */
    private static function stretches(array $value): array
    {
        $stretches = [];
        $last = '00:00';
        foreach ($value as $one) {
            [$from, $to] = is_array($one) ? [$one[0] ?? '', $one[1] ?? ''] : ['', ''];
            if (is_string($from) && is_string($to) && preg_match('/^(?:[01]\d|2[0-3]):[0-5]\d$/D', $from) === 1 && preg_match('/^(?:(?:[01]\d|2[0-3]):[0-5]\d|24:00)$/D', $to) === 1 && $from >= $last && $to > $from) {
                $stretches[] = [$from, $to];
                $last = $to;
            }
        }

        return $stretches;
    }

    /**
     * @param  array<array-key, mixed>  $value
     * @return list<array<string, mixed>>
     */
    private static function promised(array $value): array
    {
        return array_values(array_map(static fn (array $one): array => [
            'task' => is_int($one['task'] ?? null) ? $one['task'] : 0, 'title' => mb_substr(is_string($one['title'] ?? null) ? $one['title'] : '', 0, 200), 'minutes' => self::number($one['minutes'] ?? null, 0, 1440) ?? 0,
            'times' => array_values(array_filter(is_array($one['times'] ?? null) ? $one['times'] : [], static fn (mixed $time): bool => is_array($time) && is_int($time[0] ?? null) && is_int($time[1] ?? null))),
            'key' => (bool) ($one['key'] ?? false), 'due' => (bool) ($one['due'] ?? false),
        ], array_filter($value, is_array(...))));
    }

    /**
     * @param  array<array-key, mixed>  $value
     * @return list<array<array-key, int|string>>
     */
    private static function reasons(array $value): array
    {
        $reasons = [];
        foreach ($value as $one) {
            if (is_array($one) && is_string($one['code'] ?? null) && ReasonCode::tryFrom($one['code']) !== null) {
                $reasons[] = array_filter($one, static fn (mixed $fact): bool => is_int($fact) || is_string($fact));
            }
        }

        return $reasons;
    }

    /**
     * @param  array<array-key, mixed>  $value
     * @return array<string, mixed>|null
     */
    private static function account(array $value): ?array
    {
        $rows = is_array($value['rows'] ?? null) ? $value['rows'] : [];

        return rescue(static fn (): array => ['rows' => array_map(static fn (array $row): array => AccountRow::from($row)->toArray(), array_values($rows))], null, false);
    }
}
