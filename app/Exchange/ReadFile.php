<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Files\PlainText;
use App\Files\UnreadableFile;
use App\ICalendar\CalendarSplitter;
use App\Mail\MailReader;
use App\Mail\ReadMail;
use App\Models\User;
use Carbon\CarbonImmutable;

/** Reads a file by its format. */
final readonly class ReadFile
{
    /** Bytes up to which plain lists are read at once, without the queue: a fraction of a second. */
    private const AT_ONCE = 200_000;

    public function __construct(private User $user, private CarbonImmutable $now) {}

    /**
     * Whether it can be a file of this format at all, seen at its beginning.
     *
     * @throws UnreadableFile
     */
    public static function check(Format $format, string $bytes): void
    {
        match ($format) {
            Format::Mail => MailReader::check($bytes),
            Format::ICalendar => CalendarSplitter::isCalendar(PlainText::of($bytes)) || throw new UnreadableFile(__('files.no_calendar')),
            default => PlainText::of($bytes),
        };
    }

    public static function isQuick(Format $format, string $bytes): bool
    {
        return strlen($bytes) <= self::AT_ONCE && in_array($format, [Format::TodoTxt, Format::Csv, Format::Markdown, Format::Own], true);
    }

    /**
     * @param  list<string>|null  $columns  of a table: what each holds
     * @return \Generator<Draft|Problem>
     *
     * @throws UnreadableFile
     */
    public function __invoke(Format $format, string $bytes, ?array $columns = null): \Generator
    {
        if ($format === Format::Mail) {
            foreach ((new MailReader($this->now))->read($bytes) as $mail) {
                yield self::draft($mail);
            }

            return;
        }
        $text = PlainText::of($bytes);
        yield from match ($format) {
            Format::TodoTxt => (new TodoTxtReader($this->user, $this->now))->read($text),
            Format::Csv => (new CsvReader($this->user, $this->now))->read($text, $columns),
            Format::Markdown => (new MarkdownReader($this->user, $this->now))->read($text),
            Format::ICalendar => (new TodoReader($this->user))->read($text),
            Format::Own => (new OwnReader)->read($text),
        };
    }

    private static function draft(ReadMail $mail): Draft
    {
        return new Draft($mail->line, MailParts::key($mail->messageId), mb_substr($mail->subject, 0, 200), note: "{$mail->fromName}: {$mail->body}", caughtAt: $mail->receivedAt);
    }
}
