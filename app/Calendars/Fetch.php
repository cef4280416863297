<?php

declare(strict_types=1);

namespace App\Calendars;

use App\ICalendar\CalendarSplitter;
use App\Intake\TimeLimit;
use App\Intake\TookTooLong;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Contracts\HttpClient\Exception\ExceptionInterface;
use Symfony\Contracts\HttpClient\HttpClientInterface;
use Symfony\Contracts\HttpClient\ResponseInterface;

/**
 * Asks an address for its calendar: only whether it has changed, if the address can tell; within ten seconds and a size,
 * however it is compressed; redirects are followed a few times, each looked at like the first address.
 */
final readonly class Fetch
{
    public const SECONDS = 10;

    private const REDIRECTS = 5;

    /** No server's wish to be left alone is followed for longer than a day. */
    private const LONGEST_REST = 86_400;

    public function __construct(private HttpClientInterface $client, private PublicHost $hosts, private int $mostBytes, private int $seconds = self::SECONDS) {}

    /**
     * @param  string|null  $etag  of the last good answer
     * @param  string|null  $modified  likewise
     *
     * @throws NotFetched
     */
    public function __invoke(string $address, ?string $etag, ?string $modified): Fetched
    {
        try {
            return TimeLimit::run($this->seconds + 2, fn (): Fetched => $this->followed(CalendarAddress::of($address), $etag, $modified)); // also where a name is looked up, and a head comes a byte a second
        } catch (TookTooLong $error) {
            throw new NotFetched(__('calendars.too_slow', ['seconds' => $this->seconds]), previous: $error);
        } catch (ExceptionInterface $error) {
            throw new NotFetched(preg_match('/max duration|idle timeout/i', $error->getMessage()) === 1 ? __('calendars.too_slow', ['seconds' => $this->seconds]) : __('calendars.no_answer'), previous: $error);
        }
    }

    /** @throws NotFetched|ExceptionInterface */
    private function followed(CalendarAddress $at, ?string $etag, ?string $modified): Fetched
    {
        $until = microtime(true) + $this->seconds;
        $been = [];
        while (! isset($been[$at->url])) {
            count($been) > self::REDIRECTS && throw new NotFetched(__('calendars.too_many_redirects'));
            $been[$at->url] = true;
            $answer = $this->ask($at, $etag, $modified, $until - microtime(true));
            try {
                $status = $answer->getStatusCode();
                if (! in_array($status, [301, 302, 303, 307, 308], true)) {
                    return $this->read($answer, $status, $etag, $modified);
                }
                $at = $at->to($answer->getHeaders(false)['location'][0] ?? throw new NotFetched(__('calendars.no_answer')));
            } catch (\InvalidArgumentException $error) {
                throw new NotFetched(__('calendars.no_address'), previous: $error);
            } finally {
                $answer->cancel();
            }
        }
        throw new NotFetched(__('calendars.circle'));
    }

    /** @throws NotFetched|ExceptionInterface */
    private function ask(CalendarAddress $at, ?string $etag, ?string $modified, float $seconds): ResponseInterface
    {
        $seconds > 0 || throw new NotFetched(__('calendars.too_slow', ['seconds' => $this->seconds]));

        $looked = $this->hosts->address($at->host, $at->port);

        return $this->client->request('GET', $at->url, [
            'headers' => array_filter(['Accept' => 'text/calendar, */*;q=0.1', 'User-Agent' => 'Nekto', 'If-None-Match' => $etag, 'If-Modified-Since' => $modified], is_string(...)),
            'resolve' => [$at->host => $looked],
            'on_progress' => static function (int $loaded, int $size, array $info) use ($looked): void { // called before anything is sent: should the client read the address otherwise than we do
                in_array($info['primary_ip'] ?? '', ['', $looked], true) || throw new NotFetched(__('calendars.no_host'));
            },
            'max_redirects' => 0, 'max_duration' => $seconds, 'timeout' => $seconds, 'no_proxy' => '*', 'buffer' => false,
        ]);
    }

    /** @throws NotFetched|ExceptionInterface */
    private function read(ResponseInterface $answer, int $status, ?string $etag, ?string $modified): Fetched
    {
        $headers = $answer->getHeaders(false);
        $short = static fn (string $name, int $most): ?string => isset($headers[$name][0]) && strlen($headers[$name][0]) <= $most && preg_match('/^[\x20-\x7e]+$/', $headers[$name][0]) === 1 ? $headers[$name][0] : null;
        if ($status === 304) {
            return new Fetched(null, $etag, $modified);
        }
        if ($status !== 200) {
            throw new NotFetched(
                in_array($status, [401, 403], true) ? __('calendars.not_allowed', ['status' => $status]) : __('calendars.answers', ['status' => $status, 'words' => strtolower(Response::$statusTexts[$status] ?? '')]),
                self::rest($short('retry-after', 60)),
            );
        }
        $bytes = '';
        foreach ($this->client->stream($answer) as $chunk) {
            $bytes .= $chunk->getContent();
            strlen($bytes) <= $this->mostBytes || throw new NotFetched(__('calendars.too_large', ['megabytes' => intdiv($this->mostBytes, 1_000_000)]));
        }
        CalendarSplitter::isCalendar($bytes) || throw new NotFetched(__('calendars.rubbish'));
        preg_match('/END:VCALENDAR\s*$/iD', substr($bytes, -200)) === 1 || throw new NotFetched(__('calendars.broke_off'));

        return new Fetched($bytes, $short('etag', 500), $short('last-modified', 100));
    }

    private static function rest(?string $retryAfter): int
    {
        $seconds = match (true) {
            $retryAfter === null => 0,
            ctype_digit($retryAfter) => (int) $retryAfter,
            default => (int) strtotime($retryAfter) - time(),
        };

        return max(0, min(self::LONGEST_REST, $seconds));
    }
}
