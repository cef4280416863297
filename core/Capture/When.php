<?php

declare(strict_types=1);

namespace Nekto\Core\Capture;

use Nekto\Core\Time\LocalDay;

/** A day as people say it, with a time on it or without. */
final readonly class When
{
    /**
     * @param  LocalDay|null  $day  null: a time whose day the rest of the line must tell
     * @param  int|null  $minuteOfDay  0 to 1440
     */
    public function __construct(public ?LocalDay $day, public ?int $minuteOfDay = null) {}

    /** "2026-03-13", or "2026-03-13T15:00". */
    public function asString(): string
    {
        if ($this->day === null || $this->minuteOfDay === null) {
            return (string) $this->day?->asString();
        }
        $day = $this->minuteOfDay === 1440 ? $this->day->plusDays(1) : $this->day;

        return $day->asString().sprintf('T%02d:%02d', intdiv($this->minuteOfDay % 1440, 60), $this->minuteOfDay % 60);
    }
}
