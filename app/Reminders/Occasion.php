<?php

declare(strict_types=1);

namespace App\Reminders;

/** Something to be reminded of now. */
final readonly class Occasion
{
    /**
     * @param  string  $key  the same for the same occasion: a block that moves is a new one
     * @param  string  $kind  meetings, blocks, due, waiting, close, review or report
     * @param  string|null  $link  to join a meeting
     * @param  int|null  $taskId  whose it is; null for the close of the day
     */
    public function __construct(public string $key, public string $kind, public string $title, public string $body, public string $address, public ?int $taskId = null, public ?string $link = null) {}

    /** @return array{key: string, kind: string, title: string, body: string, address: string, task_id: int|null, link: string|null} */
    public function columns(): array
    {
        return ['key' => $this->key, 'kind' => $this->kind, 'title' => $this->title, 'body' => $this->body, 'address' => $this->address, 'task_id' => $this->taskId, 'link' => $this->link];
    }
}
