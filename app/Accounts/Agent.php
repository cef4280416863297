<?php

declare(strict_types=1);

namespace App\Accounts;

/** What a browser calls itself, in few words: enough to know one's own devices by. */
final class Agent
{
    /** What stands in the line, the most particular first, and what it is called. */
    private const BROWSERS = ['Edg' => 'Edge', 'OPR' => 'Opera', 'Firefox' => 'Firefox', 'FxiOS' => 'Firefox', 'CriOS' => 'Chrome', 'Chrome' => 'Chrome', 'Safari' => 'Safari', 'curl' => 'curl'];

    private const SYSTEMS = ['iPhone' => 'iPhone', 'iPad' => 'iPad', 'Android' => 'Android', 'Windows' => 'Windows', 'Mac OS' => 'Mac', 'CrOS' => 'ChromeOS', 'Linux' => 'Linux'];

    public static function named(string $agent): string
    {
        $first = static function (array $names) use ($agent): ?string {
            foreach ($names as $part => $name) {
                if (str_contains($agent, $part)) {
                    return $name;
                }
            }

            return null;
        };
        [$browser, $system] = [$first(self::BROWSERS), $first(self::SYSTEMS)];

        return match (true) {
            $browser !== null && $system !== null => "{$browser}, {$system}",
            default => $browser ?? $system ?? (trim($agent) === '' ? 'Something without a name' : mb_substr($agent, 0, 40)),
        };
    }
}
