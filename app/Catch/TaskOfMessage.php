<?php

declare(strict_types=1);

namespace App\Catch;

use App\Models\Message;
use App\Models\RevisionCause;
use App\Models\Task;
use App\Models\User;
use App\Undo\Journal;
use Carbon\CarbonImmutable;

/** Makes a message a task: its subject the title, its text the note, with a link back and its files. */
final readonly class TaskOfMessage
{
    public function __construct(private Journal $journal) {}

    public function __invoke(User $user, Message $message, CarbonImmutable $now): Task
    {
        $known = $message->task_id === null ? null : $user->tasks()->find($message->task_id);
        if ($known !== null) {
            return $known;
        }
        $made = null;
        $this->journal->record($user, RevisionCause::Caught, $now, function () use ($user, $message, &$made): array {
            $made = $user->tasks()->create([
                'area_id' => $user->areas()->firstOrFail()->id, 'title' => mb_substr($message->subject, 0, 200), 'source' => 'mail',
                'note' => mb_substr("{$message->from_name}: {$message->body}", 0, 20_000),
            ]);
            $made->links()->create(['user_id' => $user->id, 'address' => "/messages/{$message->id}", 'title' => "{$message->from_name}: {$message->subject}"]);
            foreach ($message->attachments as $file) {
                $made->attachments()->create($file->only(['name', 'path', 'type', 'size']) + ['user_id' => $user->id]);
            }
            $message->update(['state' => 'taken', 'task_id' => $made->id]);

            return [];
        });

        return $made ?? throw new \LogicException('A message becomes a task.');
    }
}
