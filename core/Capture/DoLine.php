<?php

declare(strict_types=1);

namespace Nekto\Core\Capture;

/**
 * A line that finds something and says what to do with it: "lyon to adaeze, ask fri", "ghent thursday 9", "essay done",
 * "index 45 min, high". The words that say nothing to do are those that are looked for.
 */
final readonly class DoLine
{
    /** @param  bool|null  $done  true: it is done; false: it is to be opened again; null: nothing is said of that */
    private function __construct(public string $words, public Line $line, public ?string $to, public ?bool $done) {}

    /** Null where the line says nothing to do, or nothing to look for. */
    public static function of(string $text, LineParser $parser): ?self
    {
        $to = $done = null;
        $rest = $text;
        if (preg_match('/^(?<words>.+?)\s+to\s+(?<name>\p{L}[\p{L}’\'-]*(?:\s+\p{Lu}[\p{L}’\'-]*)?)(?<more>\s*,.*|\s+ask\s.*)?$/iuD', $text, $part) === 1) {
            $to = mb_strtoupper(mb_substr($part['name'], 0, 1)).mb_substr($part['name'], 1);
            $rest = $part['words'].($part['more'] ?? '');
        }
        if (preg_match('/^(?<words>.+?)\s+(?<what>done|again|open again|reopen)\s*$/iuD', $rest, $part) === 1) {
            $done = strtolower($part['what']) === 'done';
            $rest = $part['words'];
        }
        $line = $parser->parse($rest);
        $says = array_filter($line->parts, static fn (Understood $one): bool => $one->problem === null && in_array($one->kind, [Kind::Ask, Kind::Due, Kind::On, Kind::At, Kind::Start, Kind::Minutes, Kind::Importance, Kind::Waiting], true));
        if (($says === [] && $to === null && $done === null) || $line->title === '' || mb_strlen($line->title) < 2 || ($says !== [] && $line->title === trim($rest))) {
            return null;
        }

        return new self($line->title, $line, $to ?? $line->name(Kind::Waiting), $done);
    }
}
