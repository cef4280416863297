<?php

declare(strict_types=1);

namespace App\Catch;

use App\Files\KeepFile;
use App\Files\UnreadableFile;
use App\Mail\MailReader;
use App\Mail\ReadMail;
use App\Models\Message;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/**
 * Takes messages out of a person's mail folder, a stand-in for a mailbox: any .eml or mbox dropped there arrives, once.
 */
final readonly class ReadMailbox
{
    private const MOST_BYTES = 25_000_000;

    public function __construct(private KeepFile $files) {}

    /** Where a person's mail arrives. */
    public static function folder(User $user): string
    {
        return storage_path("app/mailbox/{$user->id}");
    }

    /** @return list<string> names of files that could not be read, with why */
    public function __invoke(User $user, CarbonImmutable $now): array
    {
        $faults = [];
        foreach (glob(self::folder($user).'/*.{eml,mbox}', GLOB_BRACE) ?: [] as $path) {
            try {
                filesize($path) <= self::MOST_BYTES || throw new UnreadableFile(__('files.too_large'));
                $this->take($user, (string) file_get_contents($path), $now);
                @mkdir(dirname($path).'/read');
                rename($path, dirname($path).'/read/'.basename($path));
            } catch (UnreadableFile $fault) {
                $faults[] = basename($path).': '.$fault->getMessage();
                @mkdir(dirname($path).'/unreadable');
                rename($path, dirname($path).'/unreadable/'.basename($path));
            }
        }

        return $faults;
    }

    /**
     * @return int messages that are new
     *
     * @throws UnreadableFile
     */
    public function take(User $user, string $bytes, CarbonImmutable $now): int
    {
        $mails = (new MailReader($now))->read($bytes);

        return DB::transaction(function () use ($user, $mails): int {
            $new = 0;
            foreach ($mails as $mail) {
                if ($user->messages()->where('message_id', $mail->messageId)->doesntExist()) {
                    $this->store($user, $mail);
                    $new++;
                }
            }

            return $new;
        });
    }

    private function store(User $user, ReadMail $mail): Message
    {
        $message = $user->messages()->create([
            'message_id' => $mail->messageId, 'from_name' => $mail->fromName, 'from_address' => $mail->fromAddress,
            'subject' => $mail->subject, 'body' => $mail->body, 'received_at' => $mail->receivedAt,
        ]);
        foreach ($mail->files as $file) {
            ($this->files)($user, $file['content'], $file['name'], messageId: $message->id);
        }

        return $message;
    }
}
