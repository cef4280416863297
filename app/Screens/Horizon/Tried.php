<?php

declare(strict_types=1);

namespace App\Screens\Horizon;

use Nekto\Core\Time\LocalDay;

/** A due date as it would be, and what the plan would do about it. */
final readonly class Tried
{
    /**
     * @param  LocalDay  $day  it would be due
     * @param  string|null  $time  HH:MM, where it is due at a certain time
     * @param  string  $change  new for old, in words
     * @param  list<string>  $words  what follows
     */
    public function __construct(public int $task, public string $title, public LocalDay $day, public ?string $time, public string $change, public array $words) {}
}
