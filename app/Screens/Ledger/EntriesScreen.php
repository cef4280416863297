<?php

declare(strict_types=1);

namespace App\Screens\Ledger;

use App\Ledger\By;
use App\Ledger\Promised;
use App\Ledger\Spent;
use App\Models\User;
use App\Models\Worked;
use App\Rows\Desk;
use App\Time\Moments;
use App\Wording\Dates;
use App\Wording\Times;
use Carbon\CarbonImmutable;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Nekto\Core\Ledger\Period;
use Nekto\Core\Time\LocalDay;

/** What stands behind a figure of the ledger: its entries, the promises of its days, or its meetings. Their sum is the figure. */
final readonly class EntriesScreen
{
    /** Rows of a page. */
    private const MOST = 1000;

    public function __construct(private Desk $desk, private Promised $promised) {}

    /**
     * @param  string|null  $key  of the line: null for all, "3", "3/12", "/" for what belongs to none; "meetings", "meetings/4"
     * @return array{rows: list<array{day: string, when: string, title: string, address: string|null, minutes: int}>, sum: int, more: int}
     */
    public function of(User $user, Period $period, By $by, ?string $key, bool $promised, CarbonImmutable $now): array
    {
        $rows = match (true) {
            self::asksMeetings($key) => $this->meetings($user, $period, (string) $key, $now),
            $promised => $this->promises($user, $period, $by, $key),
            default => $this->entries($user, $period, $by, $key, $now),
        };

        return ['rows' => array_slice($rows, 0, self::MOST), 'sum' => array_sum(array_column($rows, 'minutes')), 'more' => max(0, count($rows) - self::MOST)];
    }

    /** @return list<array{day: string, when: string, title: string, address: string|null, minutes: int}> */
    private function entries(User $user, Period $period, By $by, ?string $key, CarbonImmutable $now): array
    {
        $zone = $this->desk->time()->zone;
        $dates = Dates::of($user);

        return array_values(self::only((new Spent($user, $now))->entries($period), $by, $key)->groupBy('entries.id')->orderBy('entries.starts_at')
            ->get(['entries.starts_at', 'entries.ends_at', 'tasks.title', 'entries.task_id', DB::raw(Worked::sum($now).' as minutes')])
            ->map(static fn (\stdClass $row): array => [
                'day' => $dates->full($zone->dayOf(Moments::stored($row->starts_at))), 'when' => Times::range($user, Moments::stored($row->starts_at), $row->ends_at === null ? $now : Moments::stored($row->ends_at)),
                'title' => (string) $row->title, 'address' => "/tasks/{$row->task_id}", 'minutes' => (int) $row->minutes,
            ])->all());
    }

    /** @return list<array{day: string, when: string, title: string, address: string|null, minutes: int}> */
    private function promises(User $user, Period $period, By $by, ?string $key): array
    {
        $rows = $this->promised->of($user, $period);
        $known = [];
        foreach (array_chunk(array_values(array_unique(array_column($rows, 'task'))), 900) as $some) {
            $known += self::only(DB::table('tasks')->where('tasks.user_id', $user->id)->whereIntegerInRaw('tasks.id', $some), $by, $key)->pluck('tasks.title', 'tasks.id')->all();
        }
        $isNone = $key === '' || $key === '/';
        $all = $isNone ? DB::table('tasks')->where('user_id', $user->id)->pluck('id')->flip()->all() : [];
        $dates = Dates::of($user);

        return array_values(array_map(
            static fn (array $row): array => ['day' => $dates->full(LocalDay::fromString($row['date'])), 'when' => __('ledger.promised'), 'title' => $row['title'], 'address' => isset($known[$row['task']]) ? "/tasks/{$row['task']}" : null, 'minutes' => $row['minutes']],
            array_filter($rows, static fn (array $row): bool => $key === null || isset($known[$row['task']]) || ($isNone && ! isset($all[$row['task']]))),
        ));
    }

    /** @return list<array{day: string, when: string, title: string, address: string|null, minutes: int}> */
    private function meetings(User $user, Period $period, string $key, CarbonImmutable $now): array
    {
        $zone = $this->desk->time()->zone;
        $dates = Dates::of($user);
        $held = (new Spent($user, $now))->held($period);

        return array_values(($key === 'meetings' ? $held : $held->where('calendars.id', (int) substr($key, strlen('meetings/'))))->orderBy('occurrences.starts_at')->get(['occurrences.starts_at', 'occurrences.ends_at', 'occurrences.summary', 'occurrences.meeting_id'])
            ->map(static function (\stdClass $row) use ($user, $zone, $dates): array {
                [$start, $end] = [Moments::stored($row->starts_at), Moments::stored($row->ends_at)];

                return ['day' => $dates->full($zone->dayOf($start)), 'when' => Times::range($user, $start, $end), 'title' => (string) $row->summary, 'address' => "/meetings/{$row->meeting_id}", 'minutes' => $end - $start];
            })->all());
    }

    public static function asksMeetings(?string $key): bool
    {
        return $key !== null && str_starts_with($key, 'meetings');
    }

    private static function only(Builder $query, By $by, ?string $key): Builder
    {
        if ($key === null) {
            return $query;
        }
        [$group, $part] = [...explode('/', $key, 2), null];
        $query = $group === '' ? $query->whereRaw("{$by->column()} is null") : $query->whereRaw("{$by->column()} = ?", [ctype_digit($group) ? (int) $group : $group]);

        return match (true) {
            $part === null, $by !== By::Area => $query,
            $part === '' => $query->whereNull('tasks.project_id'),
            default => $query->where('tasks.project_id', (int) $part),
        };
    }
}
