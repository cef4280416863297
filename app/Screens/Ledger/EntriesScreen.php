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

/** What stands behind a figure of the ledger: its entries, or the promises of its days. Their sum is the figure. */
final readonly class EntriesScreen
{
    /** Rows of a page. */
    private const MOST = 1000;

    public function __construct(private Desk $desk, private Promised $promised) {}

    /**
     * @param  string  $key  of the line: "" for all, "3", "3/12", "/" for what belongs to none
     * @return array{rows: list<array{day: string, when: string, title: string, task: int|null, minutes: int}>, sum: int, more: int}
     */
    public function of(User $user, Period $period, By $by, ?string $key, bool $promised, CarbonImmutable $now): array
    {
        $rows = $promised ? $this->promises($user, $period, $by, $key) : $this->entries($user, $period, $by, $key, $now);

        return ['rows' => array_slice($rows, 0, self::MOST), 'sum' => array_sum(array_column($rows, 'minutes')), 'more' => max(0, count($rows) - self::MOST)];
    }

    /** @return list<array{day: string, when: string, title: string, task: int|null, minutes: int}> */
    private function entries(User $user, Period $period, By $by, ?string $key, CarbonImmutable $now): array
    {
        $zone = $this->desk->time()->zone;
        $dates = Dates::of($user);

        return array_values(self::only((new Spent($user, $now))->entries($period), $by, $key)->groupBy('entries.id')->orderBy('entries.starts_at')
            ->get(['entries.starts_at', 'entries.ends_at', 'tasks.title', 'entries.task_id', DB::raw(Worked::sum($now).' as minutes')])
            ->map(static fn (\stdClass $row): array => [
                'day' => $dates->full($zone->dayOf(Moments::stored($row->starts_at))), 'when' => Times::range($user, Moments::stored($row->starts_at), $row->ends_at === null ? $now : Moments::stored($row->ends_at)),
                'title' => (string) $row->title, 'task' => (int) $row->task_id, 'minutes' => (int) $row->minutes,
            ])->all());
    }

    /** @return list<array{day: string, when: string, title: string, task: int|null, minutes: int}> */
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
            static fn (array $row): array => ['day' => $dates->full(LocalDay::fromString($row['date'])), 'when' => __('ledger.promised'), 'title' => $row['title'], 'task' => isset($known[$row['task']]) ? $row['task'] : null, 'minutes' => $row['minutes']],
            array_filter($rows, static fn (array $row): bool => $key === null || isset($known[$row['task']]) || ($isNone && ! isset($all[$row['task']]))),
        ));
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
