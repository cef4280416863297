<?php

declare(strict_types=1);

namespace App\Screens\Ledger;

use App\Ledger\By;
use App\Ledger\Promised;
use App\Ledger\Spent;
use App\Models\User;
use App\Rows\Desk;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Nekto\Core\Ledger\Period;
use Nekto\Core\Task\Demand;

/** Own work by area and project, context or demand: promised, actual, and actual of the period before. */
final class LedgerGroups
{
    /** @var array<string, array<string, array{int, int, int}>> planned, actual, before, by group and part */
    private array $table = [];

    public function __construct(private readonly Desk $desk, private readonly Spent $spent, private readonly Promised $promised) {}

    /** @return array{list<LedgerGroup>, LedgerRow, int} the longest first, with the sum of all, and how many the lens leaves out */
    public function of(User $user, Period $period, By $by): array
    {
        $this->table = [];
        foreach ($this->spent->by($by, $period) as $row) {
            $this->add($row['group'], $row['part'], 1, $row['minutes']);
        }
        foreach ($this->spent->by($by, $period->before()) as $row) {
            $this->add($row['group'], $row['part'], 2, $row['minutes']);
        }
        $this->planned($user, $period, $by);
        $names = $this->names($user, $by);
        $groups = [];
        $others = 0;
        foreach ($this->table as $group => $parts) {
            $groups[] = $this->group((string) $group, $parts, $names, $by);
        }
        usort($groups, static fn (LedgerGroup $a, LedgerGroup $b): int => [$a->sum->key === '', -$a->sum->actual, -($a->sum->planned ?? 0), $a->sum->name] <=> [$b->sum->key === '', -$b->sum->actual, -($b->sum->planned ?? 0), $b->sum->name]);
        $sums = array_map(fn (int $column): int => array_sum(array_map(static fn (array $parts): int => array_sum(array_column($parts, $column)), $this->table)), [0, 1, 2]);
        if ($by === By::Area && $this->desk->lens()->isOn()) {
            $seen = array_values(array_filter($groups, fn (LedgerGroup $group): bool => $this->desk->lens()->holdsArea((int) $group->sum->key)));
            $others = count($groups) - count($seen);
            $groups = $seen;
        }

        return [$groups, new LedgerRow('', '', ...$sums), $others];
    }

    /**
     * @param  array<string, array{int, int, int}>  $parts
     * @param  array{array<array-key, string>, array<array-key, string>}  $names
     */
    private function group(string $group, array $parts, array $names, By $by): LedgerGroup
    {
        $rows = [];
        foreach ($parts as $part => [$planned, $actual, $before]) {
            $rows[] = new LedgerRow($names[1][$part] ?? __('ledger.no_project'), "{$group}/{$part}", $planned, $actual, $before);
        }
        usort($rows, static fn (LedgerRow $a, LedgerRow $b): int => [-$a->actual, -($a->planned ?? 0), $a->name] <=> [-$b->actual, -($b->planned ?? 0), $b->name]);
        $sum = static fn (int $column): int => array_sum(array_column($parts, $column));
        $name = $names[0][$group] ?? __($group === '' && $by !== By::Context ? 'ledger.no_task' : "ledger.no_{$by->value}");

        return new LedgerGroup($by === By::Area ? $this->desk->areas()[(int) $group]->hue ?? 'slate' : 'slate', new LedgerRow($name, $group, $sum(0), $sum(1), $sum(2)), $by === By::Area ? $rows : []);
    }

    private function planned(User $user, Period $period, By $by): void
    {
        $promised = $this->promised->of($user, $period);
        $ids = array_values(array_unique(array_column($promised, 'task')));
        $of = [];
        foreach (array_chunk($ids, 900) as $some) {
            foreach (DB::table('tasks')->where('user_id', $user->id)->whereIntegerInRaw('id', $some)->selectRaw("tasks.id, {$by->column()} as grp, {$by->part()} as piece")->get() as $row) {
                $of[(int) $row->id] = [$row->grp === null ? null : (string) $row->grp, $row->piece === null ? null : (string) $row->piece];
            }
        }
        foreach ($promised as $row) {
            [$group, $part] = $of[$row['task']] ?? [null, null];
            $this->add($group, $part, 0, $row['minutes']);
        }
    }

    private function add(?string $group, ?string $part, int $column, int $minutes): void
    {
        $this->table[$group ?? ''][$part ?? ''] ??= [0, 0, 0];
        $this->table[$group ?? ''][$part ?? ''][$column] += $minutes;
    }

    /** @return array{array<array-key, string>, array<array-key, string>} of groups and of their parts, by key */
    private function names(User $user, By $by): array
    {
        $names = static fn (Collection $rows): array => $rows->all();

        return match ($by) {
            By::Area => [$names($this->desk->areas()->map(static fn ($area): string => $area->name)), $names($user->projects()->withTrashed()->pluck('name', 'id'))],
            By::Context => [$names($user->contexts()->pluck('name', 'id')), []],
            By::Demand => [[Demand::Deep->value => (string) __('ledger.deep'), Demand::Light->value => (string) __('ledger.light')], []],
        };
    }
}
