<?php

declare(strict_types=1);

namespace App\Models;

/** How far a file has come in. */
enum IntakeStage: string
{
    /** To be read. */
    case Waiting = 'waiting';

    /** Read, and looked at by the person before it is taken. */
    case Ready = 'ready';

    /** Being taken, in steps. */
    case Taking = 'taking';

    case Finished = 'finished';

    /** It could not be read, or took too long: the row says why. */
    case Aside = 'aside';

    public function isUnderWay(): bool
    {
        return $this === self::Waiting || $this === self::Taking;
    }
}
