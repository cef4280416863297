<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Intake\Intakes;
use App\Models\User;
use Carbon\CarbonImmutable;

/** Messages of the sample scenario, sent through the mailbox like any other. */
final readonly class DemoMail
{
    /** From, subject, text, hours ago, file. */
    private const MAIL = [
        ['Prue Ansell <prue@harrowlane.example>', 'Proofs of section 2: three small things', "Dear Ines,\n\nthe printer asks for an answer by Friday noon: the river map bleeds on page 38, the credit of plate 12 is cut, and page 41 needs one line less.\n\nPrue", 1.2, 'corrections-section-2.txt'],
        ['Wim de Ruyter <wim@lightworks.example>', 'Lamps for room 3 arrive on Tuesday', "Ines, could somebody be at the loading dock between 9 and 11? The second crate follows on Thursday.\n\nWim", 2.6, null],
        ['Canal Archive <desk@canalarchive.example>', 'Your order 1911/14: scans are ready', 'The scans of sheet 14 can be fetched until the end of the month.', 20.5, null],
    ];

    public function __construct(private CarbonImmutable $now) {}

    public function send(User $user): void
    {
        foreach (self::MAIL as $i => [$from, $subject, $text, $hours, $file]) {
            $head = "From: {$from}\r\nTo: Ines Moura <ines@example.org>\r\nSubject: {$subject}\r\nDate: ".$this->now->subMinutes((int) (60 * $hours))->toRfc2822String()."\r\nMessage-ID: <demo-{$i}@harrowlane.example>\r\nMIME-Version: 1.0\r\n";
            $body = str_replace("\n", "\r\n", $text);
            Intakes::begin($user, 'mail', "{$i}.eml", $file === null
                ? "{$head}Content-Type: text/plain; charset=UTF-8\r\n\r\n{$body}\r\n"
                : "{$head}Content-Type: multipart/mixed; boundary=\"part\"\r\n\r\n--part\r\nContent-Type: text/plain; charset=UTF-8\r\n\r\n{$body}\r\n--part\r\nContent-Type: text/plain; name=\"{$file}\"\r\nContent-Disposition: attachment; filename=\"{$file}\"\r\n\r\n38: bleed\r\n12: credit\r\n41: one line\r\n--part--\r\n", atOnce: true);
        }
    }
}
