<?php

declare(strict_types=1);

namespace App\Mail;

use Carbon\CarbonImmutable;

/** A message as a file tells of it. */
final readonly class ReadMail
{
    /**
     * @param  int  $line  where it begins in the file, from 1
     * @param  string  $body  plain text
     * @param  list<array{name: string, type: string, content: string}>  $files
     */
    public function __construct(
        public int $line,
        public string $messageId,
        public string $fromName,
        public string $fromAddress,
        public string $subject,
        public string $body,
        public CarbonImmutable $receivedAt,
        public array $files,
    ) {}

    /** A message for the calendar that came with it (RFC 6047); null if there is none. */
    public function calendar(): ?string
    {
        foreach ($this->files as $file) {
            if (in_array(strtolower($file['type']), ['text/calendar', 'application/ics'], true) || str_ends_with(strtolower($file['name']), '.ics')) {
                return $file['content'];
            }
        }

        return null;
    }
}
