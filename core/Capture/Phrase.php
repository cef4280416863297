<?php

declare(strict_types=1);

namespace Nekto\Core\Capture;

use Nekto\Core\Task\Demand;
use Nekto\Core\Task\Importance;
use Nekto\Core\Time\InvalidTime;

/** A line while it is being read: words that were understood are out of reach for what is looked for next. */
final class Phrase
{
    /** Stands in for each character of words that were understood. */
    public const TAKEN = "\u{FFFC}";

    /** Stands in for each character of words that are said by somebody else, between quotation marks, or are to stay plain. */
    private const QUOTED = "\u{FFFB}";

    /** What follows must end a clause: the line, a comma, or words that were understood. */
    public const END = '(?=\s*(?:[,;.!?)]|$|'.self::TAKEN.'))';

    /** Ends a word, without being its beginning: "friday" in "friday" but not in "friday’s". */
    public const STOP = "(?![\\w'’\\/-]|[.:]\\w)";

    /** @var list<Understood> */
    private array $parts = [];

    private string $rest;

    /** By which hours without am or pm are read. */
    public readonly Daytime $daytime;

    /** @param  list<string>  $refused  "kind" or "kind words": what the person wants left as plain words */
    public function __construct(public readonly string $text, private readonly array $refused)
    {
        $this->rest = str_replace([self::TAKEN, self::QUOTED], ' ', $text);
        $this->daytime = Daytime::of($this->rest);
    }

    /** From here on what stands between quotation marks is out of reach. */
    public function hideQuoted(): void
    {
        $this->rest = (string) preg_replace_callback('/(?<![\w′])["“„«][^"“”„«»]{2,}["”“»](?!\w)/u', static fn (array $match): string => str_repeat(self::QUOTED, mb_strlen($match[0])), $this->rest);
    }

    /** True if these words are in the line, taken or not. */
    public function mentions(string $pattern): bool
    {
        return preg_match("/{$pattern}/iu", $this->text) === 1;
    }

    /**
     * Looks for something of a kind, and takes the first that has a meaning (all, where a line may say it more than once).
     *
     * @param  string  $pattern  without delimiters
     * @param  \Closure(array<string, string>, Daytime): (int|string|When|Recurrence|Importance|Demand|Problem|null)  $read  gets the named
     *                                                                                                         groups; null: no meaning
     */
    public function look(Kind $kind, string $pattern, \Closure $read): void
    {
        if (in_array($kind->value, $this->refused, true) || (! $kind->isMany() && $this->has($kind))) {
            return;
        }
        $from = 0;
        while (preg_match("/{$pattern}/iu", $this->rest, $match, PREG_OFFSET_CAPTURE | PREG_UNMATCHED_AS_NULL, $from) === 1) {
            $words = (string) $match[0][0];
            $at = (int) $match[0][1];
            $from = $at + max(1, strlen($words));
            if ($this->isRefused($kind, $words)) { // it stays plain, also for what a part of it could mean
                $this->rest = substr_replace($this->rest, str_repeat(self::QUOTED, mb_strlen($words)), $at, strlen($words));
                $from = $at + strlen(self::QUOTED) * mb_strlen($words);

                continue;
            }
            $value = $this->read($match, $read);
            if ($value === null || $words === '') {
                continue;
            }
            $this->take($kind, $at, $words, $value);
            if (! $kind->isMany() && ! $value instanceof Problem) {
                return;
            }
            $from = $at + strlen(self::TAKEN) * mb_strlen($words);
        }
    }

    /** Notes something of which the words were taken with another part. */
    public function add(Understood $part): void
    {
        $this->parts[] = $part;
    }

    public function has(Kind $kind): bool
    {
        foreach ($this->parts as $part) {
            if ($part->kind === $kind && $part->problem === null) {
                return true;
            }
        }

        return false;
    }

    /** @return list<Understood> by their place */
    public function parts(): array
    {
        usort($this->parts, static fn (Understood $a, Understood $b): int => $a->start <=> $b->start);

        return $this->parts;
    }

    private function isRefused(Kind $kind, string $words): bool
    {
        return in_array($kind->value.' '.mb_strtolower(trim($words)), $this->refused, true);
    }

    /**
     * @param  array<array-key, array{string|null, int}>  $match
     * @param  \Closure(array<string, string>, Daytime): (int|string|When|Recurrence|Importance|Demand|Problem|null)  $read
     */
    private function read(array $match, \Closure $read): int|string|When|Recurrence|Importance|Demand|Problem|null
    {
        $groups = [];
        foreach ($match as $name => [$words]) {
            if (is_string($name) && $words !== null) {
                $groups[$name] = mb_strtolower($words);
            }
        }
        $groups['all'] = (string) $match[0][0];
        foreach (['name', 'other'] as $name) { // names keep their capitals
            $groups[$name] = (string) ($match[$name][0] ?? '');
        }
        try {
            return $read($groups, $this->daytime);
        } catch (InvalidTime) {
            return Problem::NoSuchDate;
        }
    }

    private function take(Kind $kind, int $at, string $words, int|string|When|Recurrence|Importance|Demand|Problem $value): void
    {
        $start = mb_strlen(substr($this->rest, 0, $at));
        $length = mb_strlen($words);
        $this->parts[] = $value instanceof Problem ? new Understood($kind, $start, $length, null, $value) : new Understood($kind, $start, $length, $value);
        $this->rest = substr($this->rest, 0, $at).str_repeat(self::TAKEN, $length).substr($this->rest, $at + strlen($words));
    }
}
