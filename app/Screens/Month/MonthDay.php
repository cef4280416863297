<?php

declare(strict_types=1);

namespace App\Screens\Month;

use App\Rows\SetWork;
use Nekto\Core\Time\LocalDay;

/** A day as a basin that its work stands in; places in thousandths of its width. */
final readonly class MonthDay
{
    /** Its work is drawn up to so many % of the load line. */
    private const RIM = 125;

    /**
     * @param  string  $label  as "Mon 9"
     * @param  list<array{float, float}>  $open  left and width of time in which work stands
     * @param  list<array{float, float, int}>  $piers  of meetings, with their hatching
     * @param  list<array{left: float, label: string, link: string, late: bool}>  $dues  that are drawn
     * @param  int  $more  due dates that are not
     * @param  int  $worked  minutes
     * @param  string  $note  what goes on all day, or why there are no hours
     */
    public function __construct(
        public LocalDay $day,
        public string $label,
        public bool $isToday,
        public bool $isPast,
        public ?SetWork $work,
        public int $deep,
        public array $open,
        public array $piers,
        public array $dues,
        public int $more,
        public int $worked,
        public ?float $nowAt,
        public string $note,
    ) {}

    public function hasHours(): bool
    {
        return $this->work !== null && $this->work->load->hours > 0;
    }

    /** % of the load line that so many minutes are, no more than fits. */
    public function height(int $minutes): float
    {
        $line = $this->work->load->loadLine ?? 0;

        return $line === 0 ? ($minutes > 0 ? self::RIM : 0.0) : min(self::RIM, round(100 * $minutes / $line, 1));
    }

    /** Of what is laid out, the % that was worked. */
    public function done(): float
    {
        $minutes = $this->work->minutes ?? 0;

        return $minutes === 0 ? 0.0 : min(100, round(100 * $this->worked / $minutes, 1));
    }
}
