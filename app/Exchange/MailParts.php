<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Files\KeepFile;
use App\Mail\MailReader;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/** What a task from a file of mail has beside its text: the message itself, as the way back, and its files. */
final readonly class MailParts
{
    public function __construct(private KeepFile $files) {}

    public static function key(string $messageId): string
    {
        return Format::Mail->value.':'.sha1($messageId);
    }

    /** @param  list<string>  $keys  of the tasks that were made of it now */
    public function __invoke(User $user, string $bytes, array $keys, CarbonImmutable $now): void
    {
        $wanted = array_flip($keys);
        foreach ($keys === [] ? [] : (new MailReader($now))->read($bytes) as $mail) {
            $task = isset($wanted[self::key($mail->messageId)]) ? $user->tasks()->where('origin', self::key($mail->messageId))->first() : null;
            if ($task === null) {
                continue;
            }
            unset($wanted[self::key($mail->messageId)]);
            $kept = array_values(array_filter($this->files->all($user, $mail->files), is_array(...)));
            DB::transaction(static function () use ($user, $mail, $task, $kept): void {
                $message = $user->messages()->firstOrCreate(['message_id' => $mail->messageId], [
                    'from_name' => $mail->fromName, 'from_address' => $mail->fromAddress, 'subject' => $mail->subject, 'body' => $mail->body, 'received_at' => $mail->receivedAt,
                ]);
                $message->update(['state' => 'taken', 'task_id' => $task->id]);
                $task->links()->create(['user_id' => $user->id, 'address' => "/messages/{$message->id}", 'title' => mb_substr("{$mail->fromName}: {$mail->subject}", 0, 300)]);
                foreach ($kept as $file) {
                    $task->attachments()->create([...$file, 'user_id' => $user->id]);
                }
            });
        }
    }
}
