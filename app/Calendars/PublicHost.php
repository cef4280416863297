<?php

declare(strict_types=1);

namespace App\Calendars;

use Symfony\Component\HttpFoundation\IpUtils;

/**
 * Which hosts may be asked: only those whose every address is public. Names are resolved here, once, and what is asked is
 * the address that was looked at: a name that answers differently a moment later gains nothing.
 */
final readonly class PublicHost
{
    /** Addresses of special purpose (IANA's registries for IPv4 and IPv6): this machine, private and shared networks, links, tests, many at once, and those that carry another address in them. */
    private const SPECIAL = [
        '0.0.0.0/8', '10.0.0.0/8', '100.64.0.0/10', '127.0.0.0/8', '169.254.0.0/16', '172.16.0.0/12', '192.0.0.0/24', '192.0.2.0/24', '192.31.196.0/24', '192.52.193.0/24', '192.88.99.0/24',
        '192.168.0.0/16', '192.175.48.0/24', '198.18.0.0/15', '198.51.100.0/24', '203.0.113.0/24', '224.0.0.0/4', '240.0.0.0/4',
        '::/96', '::ffff:0:0/96', '64:ff9b::/96', '64:ff9b:1::/48', '100::/64', '2001::/23', '2001:db8::/32', '2002::/16', '3fff::/20', '5f00::/16', 'fc00::/7', 'fe80::/10', 'fec0::/10', 'ff00::/8',
    ];

    /**
     * @param  list<string>  $allowed  hosts that may be asked though they are not public, as "127.0.0.1:8001" or a name
     * @param  \Closure(string): list<string>  $resolve  addresses of a name
     */
    public function __construct(private array $allowed, private \Closure $resolve) {}

    /** As the configuration has it, with names resolved by the system. */
    public static function configured(): self
    {
        return new self(array_values(array_filter(array_map(trim(...), explode(',', (string) config('nekto.calendar_hosts'))))), self::system(...));
    }

    /**
     * The address to ask for a host.
     *
     * @param  string  $host  as it stands in an address; IPv6 in brackets
     *
     * @throws NotFetched
     */
    public function address(string $host, int $port): string
    {
        $bare = strtolower(rtrim(trim($host, '[]'), '.'));
        $isAddress = filter_var($bare, FILTER_VALIDATE_IP) !== false;
        if (! $isAddress && (preg_match('/^(?=.{1,253}$)(?:[a-z0-9_](?:[a-z0-9_-]{0,61}[a-z0-9_])?\.)*[a-z0-9](?:[a-z0-9-]{0,61}[a-z0-9])?$/', $bare) !== 1 || preg_match('/(?:^|\.)(?:\d+|0x[0-9a-f]*)$/', $bare) === 1)) {
            throw new NotFetched(__('calendars.no_host')); // also numbers that systems read as addresses: 127.1, 0x7f000001
        }
        $addresses = $isAddress ? [$bare] : ($this->resolve)($bare);
        $addresses === [] && throw new NotFetched(__('calendars.unknown_host', ['host' => $bare]));
        if (! $this->isAllowed($bare, $port)) {
            foreach ($addresses as $address) {
                self::isPublic($address) || throw new NotFetched(__('calendars.not_public', ['host' => $bare]));
            }
        }

        return $addresses[0];
    }

    public function isAllowed(string $host, int $port): bool
    {
        return in_array($host, $this->allowed, true) || in_array("{$host}:{$port}", $this->allowed, true);
    }

    public static function isPublic(string $address): bool
    {
        return filter_var($address, FILTER_VALIDATE_IP) !== false && ! IpUtils::checkIp($address, self::SPECIAL);
    }

    /** @return list<string> */
    private static function system(string $name): array
    {
        $four = gethostbynamel($name);

        return $four !== false ? $four : array_values(array_filter(array_map(strval(...), array_column(@dns_get_record($name, DNS_AAAA) ?: [], 'ipv6'))));
    }
}
