<?php

declare(strict_types=1);

namespace App\Exchange;

use Nekto\Core\Recurrence\Rule;
use Nekto\Core\Recurrence\RuleRefused;

/** Words of a list that Nekto wrote, for what the list's own signs do not say: id:…, stage:…, demand:…, repeat:… */
final class OwnWords
{
    /**
     * The line without them, and what they say.
     *
     * @return array{string, array{id?: string, stage?: string, demand?: string, rule?: string, after_done?: string}}
     */
    public static function apart(string $line): array
    {
        $said = [];
        $rest = preg_replace_callback('/(?<!\S)(id:nekto-|stage:|demand:|repeat:)(\S+)/u', static function (array $match) use (&$said): string {
            [$all, $name, $value] = $match;
            if ($name === 'repeat:') {
                $name = preg_match('/^P\d{1,3}[DWMY]$/D', $value) === 1 ? 'after_done' : (self::isRule($value) ? 'rule' : '');
            } else {
                $value = $name === 'id:nekto-' ? "nekto-{$value}" : $value;
                $name = ['id:nekto-' => 'id', 'stage:' => 'stage', 'demand:' => 'demand'][$name];
            }
            if ($name === '') {
                return $all;
            }
            $said[$name] = mb_substr($value, 0, 200);

            return '';
        }, $line);

        return [$said === [] ? $line : trim((string) preg_replace('/\s+/u', ' ', (string) $rest)), $said];
    }

    private static function isRule(string $text): bool
    {
        try {
            return preg_match('/^FREQ=(?:DAILY|WEEKLY|MONTHLY|YEARLY)/', $text) === 1 && Rule::read($text)->interval > 0;
        } catch (RuleRefused) {
            return false;
        }
    }
}
