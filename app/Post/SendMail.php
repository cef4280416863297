<?php

declare(strict_types=1);

namespace App\Post;

use Illuminate\Contracts\Queue\ShouldBeEncrypted;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Symfony\Component\Mailer\Envelope;
use Symfony\Component\Mailer\Transport;
use Symfony\Component\Mime\Address;
use Symfony\Component\Mime\RawMessage;

/** Hands one mail to the mail server; if that is away, again after a while. */
final class SendMail implements ShouldBeEncrypted, ShouldQueue
{
    use Queueable;

    public int $tries = 6;

    public int $timeout = 30;

    /** @param  string  $source  as RFC 5322 has it */
    public function __construct(private readonly string $source, private readonly string $to) {}

    /** @return list<int> seconds */
    public function backoff(): array
    {
        return [60, 300, 1800, 7200, 21_600];
    }

    public function handle(): void
    {
        Transport::fromDsn((string) config('nekto.mail'))->send(new RawMessage($this->source), new Envelope(new Address((string) config('nekto.mail_from')), [new Address($this->to)]));
    }
}
