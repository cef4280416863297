<?php

declare(strict_types=1);

namespace App\Post;

use App\Models\OutboxMail;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use Symfony\Component\Mime\Address;
use Symfony\Component\Mime\Email;
use Symfony\Component\Mime\Header\Headers;
use Symfony\Component\Mime\Message;
use Symfony\Component\Mime\Part\AbstractPart;
use Symfony\Component\Mime\Part\Multipart\AlternativePart;
use Symfony\Component\Mime\Part\TextPart;

/**
 * Mail that goes out. Each is written as RFC 5322 has it into the person's outbox, to be read in Nekto; where a mail server
 * is named (NEKTO_MAIL), it is sent there too, by the worker.
 */
final readonly class PostMail
{
    /** Where letters lie that nobody may read in the application, as long as no mail server is named. */
    public const FOLDER = 'post';

    public function __invoke(User $user, string $subject, string $body, CarbonImmutable $now): OutboxMail
    {
        $mail = self::mail(new Address($user->email, $user->name), $subject, $body, $now);
        $sent = $user->outboxMails()->create(['to' => $user->email, 'subject' => $subject, 'body' => $body, 'source' => '', 'sent_at' => $now]);
        $mail->getHeaders()->addIdHeader('Message-ID', "{$sent->id}.{$now->getTimestamp()}@".self::host());
        $sent->update(['source' => $mail->toString()]);
        $user->sample_of !== null || self::send($mail);

        return $sent;
    }

    /** A letter to somebody else, with a message for his calendar (RFC 6047); it is from the person. */
    public function reply(User $user, string $to, string $subject, string $body, string $calendar, CarbonImmutable $now): OutboxMail
    {
        $message = new TextPart($calendar, 'utf-8', 'calendar');
        $message->getHeaders()->addParameterizedHeader('Content-Type', 'text/calendar', ['method' => 'REPLY']);

        return $this->fromPerson($user, $to, $subject, $body, new AlternativePart(new TextPart($body), $message), $now);
    }

    /** A letter of the person to somebody else. */
    public function letter(User $user, string $to, string $subject, string $body, CarbonImmutable $now): OutboxMail
    {
        return $this->fromPerson($user, $to, $subject, $body, new TextPart($body), $now);
    }

    private function fromPerson(User $user, string $to, string $subject, string $body, AbstractPart $part, CarbonImmutable $now): OutboxMail
    {
        $headers = (new Headers)->addMailboxListHeader('From', [new Address($user->email, $user->name)])->addMailboxHeader('Sender', new Address((string) config('nekto.mail_from'), 'Nekto'))
            ->addMailboxListHeader('To', [new Address($to)])->addTextHeader('Subject', $subject)->addDateHeader('Date', new \DateTimeImmutable('@'.$now->getTimestamp()));
        $sent = $user->outboxMails()->create(['to' => $to, 'subject' => mb_substr($subject, 0, 250), 'body' => $body, 'source' => '', 'sent_at' => $now]);
        $headers->addIdHeader('Message-ID', "{$sent->id}.{$now->getTimestamp()}@".self::host());
        $source = (new Message($headers, $part))->toString();
        $sent->update(['source' => $source]);
        (string) config('nekto.mail') === '' || $user->sample_of !== null || SendMail::dispatch($source, $to)->afterCommit();

        return $sent;
    }

    /**
     * A letter whose link lets somebody in. It stands in no outbox: whoever sits at an open window could read it there.
     * Without a mail server it is a file for whoever runs Nekto to hand on.
     */
    public function secretly(string $address, string $name, string $subject, #[\SensitiveParameter] string $body, CarbonImmutable $now): void
    {
        $mail = self::mail(new Address($address, $name), $subject, $body, $now);
        $mail->getHeaders()->addIdHeader('Message-ID', Str::lower(Str::random(20)).".{$now->getTimestamp()}@".self::host());
        if (! self::send($mail)) {
            Storage::put(self::FOLDER.'/'.now()->format('Ymd-His').'-'.Str::lower(Str::random(8)).'.eml', $mail->toString());
        }
    }

    private static function send(Email $mail): bool
    {
        if ((string) config('nekto.mail') === '') {
            return false;
        }
        SendMail::dispatch($mail->toString(), $mail->getTo()[0]->getAddress())->afterCommit();

        return true;
    }

    private static function mail(Address $to, string $subject, string $body, CarbonImmutable $now): Email
    {
        return (new Email)->from(new Address((string) config('nekto.mail_from'), 'Nekto'))->to($to)
            ->subject($subject)->text($body)->date(new \DateTimeImmutable('@'.$now->getTimestamp()));
    }

    private static function host(): string
    {
        return Str::after((string) config('nekto.mail_from'), '@');
    }
}
