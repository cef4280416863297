<?php

declare(strict_types=1);

namespace App\Mail;

use App\Files\UnreadableFile;
use Carbon\CarbonImmutable;
use ZBateson\MailMimeParser\Header\AddressHeader;
use ZBateson\MailMimeParser\Header\DateHeader;
use ZBateson\MailMimeParser\MailMimeParser;
use ZBateson\MailMimeParser\Message\IMessagePart;

/** Reads single messages (.eml) and boxes of them (mbox). */
final readonly class MailReader
{
    private const MOST_BODY = 20_000;

    private const MOST_FILES = 20;

    private const MOST_FILE = 10_000_000;

    /** Deeper than anyone nests messages; such a message is read as far as its head. */
    private const MOST_PARTS = 200;

    public function __construct(private CarbonImmutable $now) {}

    /**
     * Whether it can be mail at all, seen at its beginning.
     *
     * @throws UnreadableFile
     */
    public static function check(string $bytes): void
    {
        if (preg_match('/^(?:PK\x03\x04|\x1f\x8b|%PDF|\x89PNG|\xff\xd8\xff|MZ|\xd0\xcf\x11\xe0)/', $bytes) === 1 || preg_match('/^[!-9;-~]+:[ \t]?/m', substr($bytes, 0, 4000)) !== 1) {
            throw new UnreadableFile(__('files.no_mail'));
        }
    }

    /**
     * One after another; what of a box is no message is left out.
     *
     * @return \Generator<ReadMail>
     *
     * @throws UnreadableFile if nothing of it is mail
     */
    public function read(string $bytes): \Generator
    {
        self::check($bytes);
        foreach (self::split($bytes) as [$line, $message]) {
            if (preg_match('/^[!-9;-~]+:[ \t]?/m', substr($message, 0, 2000)) === 1) {
                yield $this->one($line, $message);
            }
        }
    }

    /**
     * The messages of a box, or the one.
     *
     * @return \Generator<array{int, string}> in which line each begins, and its bytes
     */
    public static function split(string $bytes): \Generator
    {
        $bytes = ltrim($bytes, "\r\n");
        if (preg_match('/^From \S+.*\R/', $bytes) !== 1) {
            yield [1, $bytes];

            return;
        }
        $line = 1;
        $counted = 0;
        $at = 0;
        while (preg_match('/^From \S+[^\n]*\d{4}[^\n]*\n/m', $bytes, $mark, PREG_OFFSET_CAPTURE, $at) === 1) {
            $start = $mark[0][1] + strlen($mark[0][0]);
            $end = preg_match('/^From \S+[^\n]*\d{4}[^\n]*\n/m', $bytes, $next, PREG_OFFSET_CAPTURE, $start) === 1 ? $next[0][1] : strlen($bytes);
            $line += substr_count($bytes, "\n", $counted, $mark[0][1] - $counted);
            $counted = $mark[0][1];
            yield [$line, (string) preg_replace('/^>(>*From )/m', '$1', substr($bytes, $start, $end - $start))];
            $at = $end;
        }
    }

    /** Faulty encodings make the library warn and go on; where it cannot, the message's head is taken as it stands. */
    public function one(int $line, string $text): ReadMail
    {
        set_error_handler(static fn (): bool => true);
        try {
            return $this->parsed($line, $text);
        } catch (\Throwable) {
            $head = static fn (string $name): string => preg_match("/^{$name}:[ \t]*(.*)$/mi", substr($text, 0, 20_000), $part) === 1 ? self::line($part[1]) : '';

            return new ReadMail($line, 'sha1-'.sha1($text), mb_substr($head('From') ?: __('files.no_sender'), 0, 200), '', mb_substr($head('Subject') ?: __('files.no_subject'), 0, 500), __('files.mail_unreadable'), $this->now, []);
        } finally {
            restore_error_handler();
        }
    }

    private function parsed(int $line, string $text): ReadMail
    {
        $tooDeep = preg_match_all('/^--\S/m', $text) > 2 * self::MOST_PARTS || preg_match_all('/^content-type:\s*(?:multipart|message)\//mi', $text) > 50;
        if ($tooDeep) {
            $text = preg_split('/\R\R/', $text, 2)[0]."\r\nX-Cut: 1\r\nContent-Type: text/plain\r\n\r\n".__('files.mail_too_deep');
            $text = (string) preg_replace('/^content-type:[^\n]*(?:\n[ \t][^\n]*)*\n(?=.*X-Cut)/msi', '', $text);
        }
        $message = (new MailMimeParser)->parse($text, true);
        $from = $message->getHeader('From');
        $name = $from instanceof AddressHeader ? trim((string) $from->getPersonName()) : '';
        $address = $from instanceof AddressHeader ? trim((string) $from->getEmail()) : '';
        $date = $message->getHeader('Date');
        $moment = $date instanceof DateHeader ? $date->getDateTime() : null;
        $id = trim((string) $message->getHeaderValue('Message-ID'), " <>\t");
        $body = (string) $message->getTextContent();
        $body = trim($body) === '' ? HtmlText::of((string) $message->getHtmlContent()) : $body;

        return new ReadMail(
            $line,
            mb_substr($id === '' ? 'sha1-'.sha1($text) : mb_scrub($id), 0, 190),
            mb_substr(self::line($name === '' ? ($address === '' ? __('files.no_sender') : $address) : $name), 0, 200),
            mb_substr(self::line($address), 0, 300),
            mb_substr(self::line((string) $message->getHeaderValue('Subject')) ?: __('files.no_subject'), 0, 500),
            mb_substr(trim((string) preg_replace(['/\r\n?/', '/(?![\n\t])\p{Cc}/u', '/\n{3,}/'], ["\n", '', "\n\n"], mb_scrub($body)) ?: mb_scrub($body)), 0, self::MOST_BODY),
            $moment === null ? $this->now : CarbonImmutable::instance($moment)->utc(),
            $this->files($message->getAllAttachmentParts()),
        );
    }

    /**
     * @param  IMessagePart[]  $parts
     * @return list<array{name: string, type: string, content: string}>
     */
    private function files(array $parts): array
    {
        $files = [];
        foreach (array_slice($parts, 0, self::MOST_FILES) as $i => $part) {
            $content = (string) $part->getContent();
            if ($content === '' || strlen($content) > self::MOST_FILE) {
                continue;
            }
            $files[] = ['name' => mb_substr(self::line((string) $part->getFilename()) ?: 'attachment-'.($i + 1), 0, 200), 'type' => (string) $part->getContentType(), 'content' => $content];
        }

        return $files;
    }

    private static function line(string $text): string
    {
        return trim((string) preg_replace('/[\p{Cc}\x{202A}-\x{202E}\x{2066}-\x{2069}\s]+/u', ' ', mb_scrub($text)));
    }
}
