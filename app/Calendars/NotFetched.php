<?php

declare(strict_types=1);

namespace App\Calendars;

/** An address gave no calendar. The message is for the person. */
final class NotFetched extends \RuntimeException
{
    /** @param  int  $again  seconds after which the server wishes to be asked again; 0: it says nothing */
    public function __construct(string $why, public readonly int $again = 0, ?\Throwable $previous = null)
    {
        parent::__construct($why, 0, $previous);
    }
}
