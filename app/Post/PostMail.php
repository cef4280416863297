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
        self::send($mail);

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
