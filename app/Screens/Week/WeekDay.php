<?php

declare(strict_types=1);

namespace App\Screens\Week;

use App\Rows\DayWork;
use App\Rows\SetWork;
use Nekto\Core\Time\LocalDay;

/** One row of the week; places in thousandths of the tape's width. */
final readonly class WeekDay
{
    /**
     * @param  string  $label  the weekday
     * @param  string  $date  as "11 March"
     * @param  list<array{float, float}>  $open  left and width of its hours
     * @param  float|null  $lunch  its middle
     * @param  list<array{float, float}>  $kept  reserved time and routines
     * @param  list<WeekPiece>  $pieces  by start
     * @param  list<array{float, float}>  $worked  what was really worked
     * @param  int  $workedMinutes  of the day, also what was worked outside the tape
     * @param  float|null  $nowAt  null: another day
     * @param  list<WeekTail>  $tails
     * @param  list<string>  $allDay  what goes on all day
     * @param  list<array{task: int, title: string, minutes: int}>  $untimed  picked for the day, and without a time on it
     * @param  list<array{task: int, title: string, minutes: int, done: bool}>  $list  what lies on it, without times
     */
    public function __construct(
        public LocalDay $day,
        public string $label,
        public string $date,
        public bool $isToday,
        public bool $isPast,
        public DayWork $work,
        public ?SetWork $main,
        public array $open,
        public ?float $lunch,
        public array $kept,
        public array $pieces,
        public array $worked,
        public int $workedMinutes,
        public ?float $nowAt,
        public string $nowLabel,
        public array $tails,
        public array $allDay,
        public array $untimed,
        public array $list,
    ) {}

    /** Minutes that its bar is drawn for. */
    public function top(): int
    {
        return max($this->main->load->open ?? 0, $this->main->minutes ?? 0);
    }

    /** True if a set of hours carries more than its line, or the day more deep work than its limit. */
    public function isOver(): bool
    {
        return $this->work->deep > $this->work->deepLimit || array_filter($this->work->sets, static fn (SetWork $set): bool => $set->over() > 0) !== [];
    }
}
