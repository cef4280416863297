<?php

declare(strict_types=1);

namespace Nekto\Core\Day;

use Nekto\Core\Time\IntervalSet;

/** What a day can carry in one set of hours, as a sum: hours − breaks − meetings − anchored = open − margin = load line. */
final readonly class DayLoad
{
    private function __construct(
        public int $hours,
        public int $breaks,
        public int $meetings,
        public int $anchored,
        public int $open,
        public int $margin,
        public int $loadLine,
    ) {}

    /**
     * All in minutes. Time that is taken twice counts once, for the first of breaks, meetings, anchored blocks.
     *
     * @param  IntervalSet  $hours  of that day
     * @param  IntervalSet  $meetings  busy ones with their buffers
     * @param  int  $marginPercent  the share of open time kept free, 0 to 100
     */
    public static function of(IntervalSet $hours, IntervalSet $breaks, IntervalSet $meetings, IntervalSet $anchored, int $marginPercent): self
    {
        $afterBreaks = $hours->without($breaks);
        $afterMeetings = $afterBreaks->without($meetings);
        $open = $afterMeetings->without($anchored)->length();
        $line = self::line($open, $marginPercent);

        return new self(
            $hours->length(),
            $hours->length() - $afterBreaks->length(),
            $afterBreaks->length() - $afterMeetings->length(),
            $afterMeetings->length() - $open,
            $open,
            $open - $line,
            $line,
        );
    }

    /** Minutes of so much open time that a day can safely carry. */
    public static function line(int $open, int $marginPercent): int
    {
        return $open - (int) round($open * $marginPercent / 100);
    }
}
