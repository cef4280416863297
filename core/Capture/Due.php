<?php

declare(strict_types=1);

namespace Nekto\Core\Capture;

use Nekto\Core\Time\LocalDay;

/** A due date as people say it: a day, which means the end of that day's hours, or a time on a day. */
final readonly class Due
{
    /** @param  int|null  $minuteOfDay  0 to 1440 */
    public function __construct(public LocalDay $day, public ?int $minuteOfDay = null) {}
}
