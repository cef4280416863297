<?php

declare(strict_types=1);

namespace App\Catch;

use App\Edits\NewTasks;
use App\Edits\TaskDraft;
use App\Models\Message;
use App\Models\PlanRevision;
use App\Models\RevisionCause;
use App\Models\Task;
use App\Models\User;
use App\Undo\Journal;
use Carbon\CarbonImmutable;

/** Makes a message a task: its subject the title, its text the note, with a link back and its files. */
final readonly class TaskOfMessage
{
    public function __construct(private Journal $journal, private NewTasks $births) {}

    /** @return array{Task, PlanRevision|null} the task, and the change if it was made now */
    public function __invoke(User $user, Message $message, CarbonImmutable $now): array
    {
        $known = $message->task_id === null ? null : $user->tasks()->find($message->task_id);
        if ($known !== null) {
            return [$known, null];
        }
        $made = null;
        $revision = $this->journal->record($user, RevisionCause::Caught, $now, function () use ($user, $message, $now, &$made): void {
            $made = $this->births->one($user, new TaskDraft(
                ['title' => $message->subject, 'source' => 'mail', 'note' => "{$message->from_name}: {$message->body}"],
                links: [['address' => "/messages/{$message->id}", 'title' => mb_substr("{$message->from_name}: {$message->subject}", 0, 300)]],
            ), $now);
            foreach ($message->attachments as $file) {
                $made->attachments()->create($file->only(['name', 'path', 'type', 'size']) + ['user_id' => $user->id]);
            }
            $message->update(['state' => 'taken', 'task_id' => $made->id]);
        });

        return [$made ?? throw new \LogicException('A message becomes a task.'), $revision];
    }
}
