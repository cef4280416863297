<?php

declare(strict_types=1);

namespace Nekto\Core\Prospect;

/** What can be changed when not all fits. */
enum WayOutKind: string
{
    /** A due date is moved. */
    case MoveDue = 'move_due';

    /** A task is cut. */
    case Cut = 'cut';

    /** A task is dropped or handed off. */
    case Drop = 'drop';

    /** More hours are opened on a day. */
    case ExtraHours = 'extra_hours';
}
