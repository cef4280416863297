<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Files\UnreadableFile;
use App\Mail\HtmlText;
use App\Mail\MailReader;
use App\Mail\ReadMail;
use Carbon\CarbonImmutable;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;
use Tests\TestCase;

/** Messages as files hold them. */
final class MailReaderTest extends TestCase
{
    #[Test]
    public function head_body_and_date_are_read_in_their_encodings(): void
    {
        $mail = $this->read("From: =?ISO-8859-1?Q?Tom=E1s_Leal?= <tomas@example.org>\r\nSubject: =?UTF-8?B?".base64_encode('Sockelhöhen: 3 Maße')."?=\r\nDate: Tue, 10 Mar 2026 17:20:00 +0100\r\nMessage-ID: <abc@example.org>\r\nContent-Type: text/plain; charset=iso-8859-15\r\nContent-Transfer-Encoding: quoted-printable\r\n\r\nPreis: 12 =A4, Gr=FC=DFe\r\n");

        self::assertSame(['Tomás Leal', 'tomas@example.org', 'Sockelhöhen: 3 Maße', 'Preis: 12 €, Grüße', '2026-03-10 16:20:00', 'abc@example.org'], [
            $mail->fromName, $mail->fromAddress, $mail->subject, $mail->body, $mail->receivedAt->toDateTimeString(), $mail->messageId,
        ]);
    }

    #[Test]
    public function a_message_without_subject_sender_or_date_still_is_one(): void
    {
        $mail = $this->read("X-Mailer: none\r\n\r\nHello\r\n");

        self::assertSame(['unknown sender', '(no subject)', 'Hello', '2026-03-11 10:20:00'], [$mail->fromName, $mail->subject, $mail->body, $mail->receivedAt->toDateTimeString()]);
        self::assertStringStartsWith('sha1-', $mail->messageId);
    }

    #[Test]
    public function of_two_versions_the_plain_one_is_taken(): void
    {
        $mail = $this->read("From: a@example.org\r\nSubject: S\r\nMIME-Version: 1.0\r\nContent-Type: multipart/alternative; boundary=b\r\n\r\n--b\r\nContent-Type: text/plain\r\n\r\nPlain\r\n--b\r\nContent-Type: text/html\r\n\r\n<b>Rich</b>\r\n--b--\r\n");

        self::assertSame('Plain', $mail->body);
        self::assertSame([], $mail->files);
    }

    #[Test]
    public function control_characters_and_turns_of_direction_do_not_come_along(): void
    {
        $mail = $this->read("From: \"Ev\x07il\" <e@example.org>\r\nSubject: =?UTF-8?B?".base64_encode("invoice\u{202E}fdp.exe")."?=\r\n\r\na\x00b\x08c\r\n");

        self::assertDoesNotMatchRegularExpression('/[\x00-\x08\x{202E}]/u', $mail->subject.$mail->body.$mail->fromName);
    }

    #[Test]
    #[DataProvider('strange')]
    public function what_is_no_message_is_refused(string $bytes): void
    {
        $this->expectException(UnreadableFile::class);
        $this->read($bytes);
    }

    /** @return array<string, array{string}> */
    public static function strange(): array
    {
        return ['a zip' => ["PK\x03\x04abc"], 'a PDF' => ['%PDF-1.7'], 'a picture' => ["\x89PNG\r\n"], 'a program' => ["MZ\x90"], 'prose' => ["Dear Ines,\nhello\n"], 'nothing' => ['']];
    }

    #[Test]
    #[DataProvider('html')]
    public function html_becomes_plain_text(string $html, string $text): void
    {
        self::assertSame($text, HtmlText::of($html));
    }

    /** @return array<string, array{string, string}> */
    public static function html(): array
    {
        return [
            'paragraphs' => ['<p>One</p><p>Two</p>', "One\nTwo"],
            'a list' => ['<ul><li>One</li><li>Two</li></ul>', "- One\n- Two"],
            'breaks' => ['One<br>Two', "One\nTwo"],
            'entities' => ['Caf&eacute; &amp; &lt;b&gt; &euro;', 'Café & <b> €'],
            'scripts, styles and comments' => ['<style>b{}</style>A<script>x()</script><!-- c -->B<template>t</template>', 'AB'],
            'letters of all kinds' => ['<p>Zoë – שלום</p>', 'Zoë – שלום'],
            'unclosed' => ['<div><p>One<div>Two', "One\nTwo"],
            'nothing' => ['   ', ''],
        ];
    }

    private function read(string $bytes): ReadMail
    {
        return (new MailReader(CarbonImmutable::parse('2026-03-11 10:20', 'UTC')))->read($bytes)->current();
    }
}
