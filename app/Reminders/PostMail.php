<?php

declare(strict_types=1);

namespace App\Reminders;

use App\Models\OutboxMail;
use App\Models\User;
use Carbon\CarbonImmutable;
use Symfony\Component\Mime\Address;
use Symfony\Component\Mime\Email;

/** The stand-in for sending mail: it writes what would have gone out, as RFC 5322 has it, for the person to read. */
final readonly class PostMail
{
    public function __invoke(User $user, string $subject, string $body, CarbonImmutable $now): OutboxMail
    {
        $mail = (new Email)->from(new Address('nekto@localhost.example', 'Nekto'))->to(new Address($user->email, $user->name))
            ->subject($subject)->text($body)->date(new \DateTimeImmutable('@'.$now->getTimestamp()));
        $sent = $user->outboxMails()->create(['to' => $user->email, 'subject' => $subject, 'body' => $body, 'source' => '', 'sent_at' => $now]);
        $mail->getHeaders()->addIdHeader('Message-ID', "{$sent->id}.{$now->getTimestamp()}@localhost.example");
        $sent->update(['source' => $mail->toString()]);

        return $sent;
    }
}
