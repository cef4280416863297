<?php

declare(strict_types=1);

namespace App\Catch;

use App\Calendars\Calendars;
use App\Files\KeepFile;
use App\ICalendar\UnreadableCalendar;
use App\Intake\Parts;
use App\Intake\Steps;
use App\Intake\TimeLimit;
use App\Intake\TookTooLong;
use App\Mail\MailReader;
use App\Mail\ReadMail;
use App\Meetings\NeverComesRound;
use App\Meetings\TakeMessage;
use App\Models\Intake;
use App\Models\Meeting;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

/** Brings messages in, single ones or boxes of many: each once, known by its id. */
final readonly class TakeMail implements Steps
{
    /** Messages of one step. */
    private const BATCH = 50;

    /** Bytes of messages of one step, which lie in memory together with what was read of them. */
    private const BYTES = 8_000_000;

    /** Seconds for one message; of one that takes longer only its head is read. */
    private const MESSAGE = 5;

    /** Seconds for what a message says to the calendar. */
    private const CALENDAR = 5;

    public function __construct(private KeepFile $files, private TakeMessage $meetings) {}

    public function cut(Intake $intake, CarbonImmutable $now): void
    {
        $bytes = (string) Storage::get((string) $intake->path);
        MailReader::check($bytes);
        Parts::write($intake, self::parts($bytes));
    }

    public function take(Intake $intake, CarbonImmutable $now): void
    {
        $user = $intake->user;
        $reader = new MailReader($now);
        $read = [];
        $size = 0;
        foreach (Parts::next($intake, self::BATCH) as [$line, $message]) {
            $text = (string) base64_decode($message);
            $mail = TimeLimit::run(self::MESSAGE, static fn (): ReadMail => $reader->one($line, $text));
            $read[$mail->messageId] ??= $mail;
            if (($size += strlen($text)) > self::BYTES) {
                break;
            }
        }
        $known = $user->messages()->whereIn('message_id', array_map(strval(...), array_keys($read)))->pluck('message_id')->flip();
        $new = array_filter($read, static fn (ReadMail $mail): bool => ! isset($known[$mail->messageId]));
        $kept = array_map(fn (ReadMail $mail): array => $this->files->all($user, $mail->files), $new);
        $left = array_sum(array_map(static fn (array $files): int => count(array_filter($files, static fn (mixed $file): bool => $file === KeepFile::NO_ROOM)), $kept));
        $left > 0 && $intake->note(1, trans_choice('files.no_room_mail', $left));
        try {
            DB::transaction(static function () use ($intake, $user, $new, $kept): void {
                foreach ($new as $id => $mail) {
                    $message = $user->messages()->firstOrCreate(['message_id' => $mail->messageId], [
                        'from_name' => $mail->fromName, 'from_address' => $mail->fromAddress, 'subject' => $mail->subject, 'body' => $mail->body, 'received_at' => $mail->receivedAt,
                    ]);
                    foreach (array_filter($kept[$id], is_array(...)) as $file) {
                        $user->attachments()->create([...$file, 'message_id' => $message->id]);
                    }
                }
                $intake->added += count($new);
                $intake->save();
            });
        } catch (\Throwable $error) {
            Storage::delete(array_column(array_filter(array_merge(...array_values($kept)), is_array(...)), 'path'));
            throw $error;
        }
        foreach ($new as $mail) {
            $this->meeting($intake, $mail, $now);
        }
    }

    /** An invitation, a change, a calling off: the meeting follows at once. What cannot be read of it stays a message. */
    private function meeting(Intake $intake, ReadMail $mail, CarbonImmutable $now): void
    {
        $calendar = $mail->calendar();
        if ($calendar === null || strlen($calendar) > TakeMessage::LARGEST) {
            return;
        }
        try {
            $user = $intake->user;
            $meeting = TimeLimit::run(self::CALENDAR, fn (): ?Meeting => ($this->meetings)($user, $calendar, static fn () => Calendars::here($user), $now));
            $meeting === null || $user->messages()->where('message_id', $mail->messageId)->update(['meeting_id' => $meeting->id]);
        } catch (UnreadableCalendar|NeverComesRound|TookTooLong $error) {
            $intake->note($mail->line, __('meetings.message_unread', ['subject' => $mail->subject, 'why' => $error->getMessage()]));
            $intake->save();
        }
    }

    public function finished(Intake $intake, CarbonImmutable $now): void {}

    public function aside(Intake $intake, string $why, CarbonImmutable $now): void {}

    /** @return \Generator<array{int, string}> */
    private static function parts(string $bytes): \Generator
    {
        foreach (MailReader::split($bytes) as [$line, $message]) {
            yield [$line, base64_encode($message)];
        }
    }
}
