<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Files\UnreadableFile;
use App\Mail\MailReader;
use App\Mail\ReadMail;
use App\Models\FilePreview;
use App\Models\User;
use Carbon\CarbonImmutable;

/** Reads a file that waits to be taken, by its format. */
final readonly class ReadFile
{
    public function __construct(private User $user, private CarbonImmutable $now) {}

    /** @throws UnreadableFile */
    public function __invoke(FilePreview $preview): ReadTasks
    {
        return match (Format::from($preview->format)) {
            Format::TodoTxt => (new TodoTxtReader($this->user, $this->now))->read($preview->content),
            Format::Csv => (new CsvReader($this->user, $this->now))->read($preview->content, $preview->columns),
            Format::Markdown => (new MarkdownReader($this->user, $this->now))->read($preview->content),
            Format::ICalendar => (new TodoReader($this->user))->read($preview->content),
            Format::Mail => new ReadTasks(array_map(self::draft(...), (new MailReader($this->now))->read((string) base64_decode($preview->content))), []),
        };
    }

    private static function draft(ReadMail $mail): Draft
    {
        return new Draft($mail->line, Format::Mail->value.':'.sha1($mail->messageId), mb_substr($mail->subject, 0, 200), note: "{$mail->fromName}: {$mail->body}", caughtAt: $mail->receivedAt);
    }
}
