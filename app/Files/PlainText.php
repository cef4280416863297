<?php

declare(strict_types=1);

namespace App\Files;

/** Brings a file's bytes into UTF-8, or says that they are no text. */
final class PlainText
{
    /** @throws UnreadableFile */
    public static function of(string $bytes): string
    {
        if (str_starts_with($bytes, "\xEF\xBB\xBF")) {
            return mb_scrub(substr($bytes, 3));
        }
        foreach (["\xFF\xFE" => 'UTF-16LE', "\xFE\xFF" => 'UTF-16BE'] as $mark => $encoding) {
            if (str_starts_with($bytes, $mark)) {
                return mb_scrub((string) mb_convert_encoding(substr($bytes, 2), 'UTF-8', $encoding));
            }
        }
        if (str_contains(substr($bytes, 0, 8000), "\0")) {
            throw new UnreadableFile(__('files.no_text'));
        }

        return mb_check_encoding($bytes, 'UTF-8') ? $bytes : (string) mb_convert_encoding($bytes, 'UTF-8', 'Windows-1252');
    }
}
