<?php

declare(strict_types=1);

namespace Nekto\Core\Capture;

/** A time that stands by itself among the words of a line: "lunch 12:30". Of what is at some time of the day it is that one. */
final class LooseTime
{
    private const TIME = '/(?<![\w:.-])(?:at\s+)?(?<time>\d{1,2}:\d{2}(?:\s*[ap]m)?|\d{1,2}\s*[ap]m)(?![\w:])/iu';

    /**
     * The words without it, and the minute of the day, 0 to 1440; null where there is none, and the words are as they were.
     *
     * @return array{string, int|null}
     */
    public static function apart(string $words): array
    {
        $minute = preg_match(self::TIME, $words, $part) === 1 ? ClockReader::read($part['time']) : -1;
        if ($minute < 0) {
            return [$words, null];
        }

        return [trim((string) preg_replace(['/\s+/u', '/\s+(?=[,;.])/u'], [' ', ''], (string) preg_replace(self::TIME, ' ', $words, 1)), ' ,;'), $minute];
    }
}
