<?php

declare(strict_types=1);

namespace App\Screens\Ledger;

use App\Ledger\By;
use App\Screens\Page;
use Nekto\Core\Ledger\Between;
use Nekto\Core\Ledger\Calibration;
use Nekto\Core\Ledger\Period;

/** Where time went. */
final readonly class LedgerPage extends Page
{
    /**
     * @param  string  $key  of the period, as the address has it
     * @param  array<string, string>  $choices  names of periods by key
     * @param  list<LedgerGroup>  $groups
     * @param  LedgerRow  $sum  of all own work
     * @param  int  $others  groups that the lens leaves out
     * @param  list<LedgerRow>  $meetings  by calendar
     * @param  int  $scale  minutes that the width of the bars stands for
     * @param  list<array{label: string, deep: int, light: int, meetings: int}>  $parts
     * @param  int  $widest  minutes of the longest of these
     * @param  list<EstimateKind>  $estimates
     * @param  list<Calibration>  $chances
     * @param  list<array{id: int, title: string, carried: int, done: bool}>  $carried  over most
     * @param  list<array{label: string, kept: int, missed: int, closed: bool, first: bool}>  $days  with a promise
     * @param  array{kept: int, all: int, closed: int, days: int}  $promises
     * @param  list<array{name: string, weeks: list<array{int, int}|null>}>  $habits
     * @param  list<string>  $weeks  the first day of each that habits show
     * @param  string|null  $well  what went well, in a line; null where there is nothing or the person does not want it
     */
    public function __construct(
        public string $key,
        public array $choices,
        public Period $period,
        public string $span,
        public string $beforeSpan,
        public By $by,
        public array $groups,
        public LedgerRow $sum,
        public int $others,
        public array $meetings,
        public int $scale,
        public array $parts,
        public int $widest,
        public Between $between,
        public int $withoutTask,
        public array $estimates,
        public array $chances,
        public array $carried,
        public array $days,
        public array $promises,
        public array $habits,
        public array $weeks,
        public ?string $well,
        public string $own,
    ) {}
}
