<?php

declare(strict_types=1);

namespace Nekto\Core\Capture;

/** Takes pasted text apart: a line is an item, what is indented under it are its subtasks. List marks and boxes go. */
final class Outline
{
    private const TAB = 4;

    private const MARK = '/^(?:[-*+•–—‣◦]|\d{1,3}[.)]|[a-z][.)])\s+/u';

    private const BOX = '/^(?:\[(?<box>[ xX✓✔]?)\]|[☐☑☒✓✔])\s*/u';

    /**
     * @param  bool  $nested  false: every line is an item of its own
     * @return list<OutlineItem>
     */
    public static function of(string $text, bool $nested = true): array
    {
        $items = [];
        $top = null;
        $under = [];
        $current = null;
        foreach (preg_split('/\R/u', mb_scrub($text)) ?: [] as $number => $line) {
            $indent = self::indent($line);
            [$words, $done] = self::strip(trim($line));
            if ($words === '') {
                continue;
            }
            if ($current !== null && $nested && $top !== null && $indent > $top) {
                $under[] = new OutlineItem($words, $done, $number + 1);

                continue;
            }
            if ($current !== null) {
                $items[] = $current->with($under);
            }
            $top = $indent;
            $under = [];
            $current = new OutlineItem($words, $done, $number + 1);
        }

        return $current === null ? $items : [...$items, $current->with($under)];
    }

    private static function indent(string $line): int
    {
        preg_match('/^[ \t\x{A0}]*/u', $line, $blank);

        return mb_strlen(str_replace("\t", str_repeat(' ', self::TAB), $blank[0] ?? ''));
    }

    /** @return array{string, bool} */
    private static function strip(string $line): array
    {
        $line = (string) preg_replace(['/^#{1,6}\s+/u', self::MARK], '', $line);
        if (preg_match(self::BOX, $line, $box) !== 1) {
            return [trim($line), false];
        }
        $sign = trim($box[0], "[] \t");

        return [trim(mb_substr($line, mb_strlen($box[0]))), $sign !== '' && $sign !== '☐'];
    }
}
