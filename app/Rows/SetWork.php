<?php

declare(strict_types=1);

namespace App\Rows;

use Nekto\Core\Day\DayLoad;

/** The work that is laid on a day in one set of hours, and what these can carry; everything in minutes. */
final readonly class SetWork
{
    /** @param  int  $deep  of $minutes */
    public function __construct(public string $name, public int $minutes, public DayLoad $load, public int $deep) {}

    /** What still fits under the line. */
    public function free(): int
    {
        return max(0, $this->load->loadLine - $this->minutes);
    }

    /** What is over the line. */
    public function over(): int
    {
        return max(0, $this->minutes - $this->load->loadLine);
    }
}
