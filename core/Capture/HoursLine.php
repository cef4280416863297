<?php

declare(strict_types=1);

namespace Nekto\Core\Capture;

use Nekto\Core\Hours\Stretch;
use Nekto\Core\Time\LocalDay;

/** Days with other hours, as a line says them. */
final readonly class HoursLine
{
    /**
     * @param  LocalDay  $last  not before the first
     * @param  list<Stretch>  $stretches  by their start; empty: closed
     * @param  list<Stretch>  $next  what of a night reaches into the day after
     * @param  bool  $everywhere  a day off: whatever is done in any hours
     * @param  string  $name  what for; may be empty
     */
    public function __construct(public LocalDay $first, public LocalDay $last, public array $stretches, public array $next, public bool $everywhere, public string $name) {}
}
