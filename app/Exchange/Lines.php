<?php

declare(strict_types=1);

namespace App\Exchange;

/** The lines of a text, one after another: a list of them all would need ten times its room. */
final class Lines
{
    /** @return \Generator<int, string> from 0, without their ends */
    public static function of(string $text): \Generator
    {
        $length = strlen($text);
        for ($at = 0, $i = 0; $at <= $length; $at = $end + 1, $i++) {
            $end = $at + strcspn($text, "\r\n", $at);
            yield $i => substr($text, $at, $end - $at);
            ($text[$end] ?? '') === "\r" && ($text[$end + 1] ?? '') === "\n" && $end++;
        }
    }
}
