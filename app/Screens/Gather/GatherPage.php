<?php

declare(strict_types=1);

namespace App\Screens\Gather;

use App\Models\Message;
use App\Models\Task;
use App\Screens\Page;
use Illuminate\Support\Collection;

/** The inbox, the mailbox, and what sorting offers. */
final readonly class GatherPage extends Page
{
    /**
     * @param  int  $total  items of the inbox, shown or not
     * @param  Collection<int, Task>  $items
     * @param  Collection<int, Task>  $waiting
     * @param  Collection<int, Message>  $messages
     * @param  Collection<int, string>  $projects  names
     * @param  Collection<int, string>  $people  names of those that were waited for
     */
    public function __construct(
        public int $total,
        public Collection $items,
        public Collection $waiting,
        public int $someday,
        public int $references,
        public Collection $messages,
        public int $putOff,
        public Collection $projects,
        public Collection $people,
    ) {}
}
