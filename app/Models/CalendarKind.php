<?php

declare(strict_types=1);

namespace App\Models;

/** Where the meetings of a calendar come from. */
enum CalendarKind: string
{
    /** A file that was brought in; a newer one takes its place. */
    case File = 'file';

    /** An address that is looked at again and again. */
    case Address = 'address';

    /** Kept here: what came by mail. */
    case Here = 'here';
}
