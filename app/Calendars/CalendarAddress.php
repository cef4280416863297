<?php

declare(strict_types=1);

namespace App\Calendars;

/** The address of a calendar, as a person gives it. */
final readonly class CalendarAddress
{
    public const LONGEST = 2000;

    private function __construct(public string $url, public string $scheme, public string $host, public int $port) {}

    /** @throws NotFetched if it is none */
    public static function of(string $typed): self
    {
        $url = (string) preg_replace('/^webcals?:/i', 'https:', trim($typed)); // a widespread scheme for calendars
        preg_match('~^[a-z][a-z0-9+.-]*:~i', $url) === 1 || $url = "https://{$url}";
        $parts = preg_match('/[\x00-\x20\x7f\\\\]/', $url) === 1 || strlen($url) > self::LONGEST || ! mb_check_encoding($url, 'UTF-8') ? false : parse_url($url);
        $scheme = strtolower((string) ($parts['scheme'] ?? ''));
        if ($parts === false || ! in_array($scheme, ['http', 'https'], true) || ($parts['host'] ?? '') === '') {
            throw new NotFetched(__('calendars.no_address'));
        }
        $host = strtolower($parts['host']);
        if (preg_match('/[^\x00-\x7f]/', $host) === 1) {
            $ascii = idn_to_ascii($host, IDNA_NONTRANSITIONAL_TO_ASCII, INTL_IDNA_VARIANT_UTS46) ?: throw new NotFetched(__('calendars.no_address'));
            $url = str_replace($parts['host'], $ascii, $url);
            $host = $ascii;
        }

        return new self((string) preg_replace('/#.*$/s', '', $url), $scheme, $host, $parts['port'] ?? ($scheme === 'https' ? 443 : 80));
    }

    /**
     * Where a redirect leads.
     *
     * @throws NotFetched
     */
    public function to(string $location): self
    {
        $target = self::of((string) \GuzzleHttp\Psr7\UriResolver::resolve(new \GuzzleHttp\Psr7\Uri($this->url), new \GuzzleHttp\Psr7\Uri($location)));
        if ($this->scheme === 'https' && $target->scheme !== 'https') {
            throw new NotFetched(__('calendars.unsafe_redirect'));
        }

        return $target;
    }
}
