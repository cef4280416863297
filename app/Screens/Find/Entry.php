<?php

declare(strict_types=1);

namespace App\Screens\Find;

use App\Models\Task;

/** One entry of the index: its name, its place at the right, a line beneath, and the task that something can be done with. */
final readonly class Entry
{
    /**
     * @param  string  $id  of its row on the page
     * @param  string  $place  where or when it is
     * @param  string  $note  a line beneath it
     * @param  string  $state  "done", "gone" or ""
     * @param  string  $hue  of its area, or ""
     * @param  string  $due  of its task, in words
     */
    public function __construct(public string $id, public string $title, public string $address, public string $place = '', public string $note = '', public string $state = '', public string $hue = '', public ?Task $task = null, public string $due = '') {}
}
