<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Post\PostMail;
use App\Post\SendMail;
use App\Time\Clock;
use Illuminate\Support\Facades\Storage;
use PHPUnit\Framework\Attributes\Test;
use Symfony\Component\Mailer\Exception\TransportException;

/** Mail that really goes out, to a mail server of a few lines. */
final class MailOutTest extends FeatureTestCase
{
    private const SERVER = <<<'PHP'
        $server = stream_socket_server('tcp://127.0.0.1:0');
        echo stream_socket_get_name($server, false), "\n";
        $client = stream_socket_accept($server, 10);
        fwrite($client, "220 here\r\n");
        $isData = false;
        while (($line = fgets($client)) !== false) {
            echo $line;
            if ($isData) {
                if (rtrim($line) === '.') { $isData = false; fwrite($client, "250 taken\r\n"); }
                continue;
            }
            $word = strtoupper(substr($line, 0, 4));
            $isData = $word === 'DATA';
            fwrite($client, match ($word) { 'DATA' => "354 go on\r\n", 'QUIT' => "221 bye\r\n", default => "250 good\r\n" });
            if ($word === 'QUIT') { break; }
        }
        PHP;

    protected function setUp(): void
    {
        parent::setUp();
        Storage::fake('local');
    }

    #[Test]
    public function a_letter_goes_to_the_mail_server_and_stays_in_the_outbox(): void
    {
        $said = $this->withServer(fn () => app(PostMail::class)($this->ines, 'Quotes, 10:00', "In five minutes.\n", Clock::now()));

        self::assertStringContainsString('RCPT TO:<moura@example.org>', $said);
        self::assertStringContainsString("Subject: Quotes, 10:00\r\n", $said);
        self::assertStringContainsString('In five minutes.', $said);
        self::assertSame(1, $this->ines->outboxMails()->count());
    }

    #[Test]
    public function a_letter_that_lets_in_goes_there_alone(): void
    {
        auth()->logout();
        $said = $this->withServer(fn () => $this->post('/forgotten', ['email' => 'moura@example.org']));

        self::assertMatchesRegularExpression('/\/forgotten\/\w{40}/', quoted_printable_decode($said));
        self::assertSame([0, []], [$this->ines->outboxMails()->count(), Storage::files('post')]);
    }

    #[Test]
    public function a_server_that_is_away_is_asked_again_later(): void
    {
        config(['nekto.mail' => 'smtp://127.0.0.1:1']);
        self::assertSame([60, 300, 1800, 7200, 21_600], (new SendMail('a', 'a@example.org'))->backoff());
        $this->expectException(TransportException::class);
        (new SendMail("Subject: A\r\n\r\nB\r\n", 'a@example.org'))->handle();
    }

    /** @param  \Closure(): mixed  $do */
    private function withServer(\Closure $do): string
    {
        $process = proc_open([PHP_BINARY, '-r', self::SERVER], [1 => ['pipe', 'w']], $pipes);
        self::assertIsResource($process);
        config(['nekto.mail' => 'smtp://'.trim((string) fgets($pipes[1])), 'nekto.mail_from' => 'nekto@example.org']);
        $do();
        gc_collect_cycles(); // the connection is left with QUIT
        $said = (string) stream_get_contents($pipes[1]);
        proc_close($process);

        return $said;
    }
}
