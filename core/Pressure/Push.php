<?php

declare(strict_types=1);

namespace Nekto\Core\Pressure;

/** The person's own urgency, where no date says it. */
enum Push: int
{
    case HoldBack = -1;
    case None = 0;
    case Urgent = 1;
}
