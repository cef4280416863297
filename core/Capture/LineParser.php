<?php

declare(strict_types=1);

namespace Nekto\Core\Capture;

use Nekto\Core\Time\LocalDay;

/**
 * Understands a typed line such as "Draft the wall text for 90 min by friday": how long, by when, for which day, how it
 * comes back, of what importance, and more. It never fails: what it does not understand stays in the title.
 */
final readonly class LineParser
{
    /** Longer lines are cut here before they are looked at; a title has 200 characters. */
    private const MOST_CHARACTERS = 2000;

    private SignReader $signs;

    private RepeatReader $repeats;

    private MomentReader $moments;

    private WordReader $words;

    /**
     * @param  int  $minuteOfDay  the present wall-clock time
     * @param  bool  $monthFirst  true if 3/4 is the fourth of March
     * @param  list<string>  $projects  that the person has
     */
    public function __construct(private LocalDay $today, private int $minuteOfDay, bool $monthFirst = false, array $projects = [])
    {
        $days = new DayReader($today, $monthFirst);
        $this->signs = new SignReader($days, $today);
        $this->repeats = new RepeatReader($days);
        $this->moments = new MomentReader($days, $today, $minuteOfDay);
        usort($projects, static fn (string $a, string $b): int => mb_strlen($b) <=> mb_strlen($a));
        $this->words = new WordReader($projects);
    }

    /** @param  list<string>  $refused  what is left as plain words: a kind, or a kind and its words ("due by friday") */
    public function parse(string $text, array $refused = []): Line
    {
        $text = self::clean($text);
        $phrase = new Phrase($text, $refused);
        $this->signs->read($phrase);
        $phrase->hideQuoted();
        $this->repeats->read($phrase);
        $this->moments->readAsk($phrase);
        $this->moments->readDue($phrase);
        $this->moments->readStart($phrase);
        DurationReader::readFrom($phrase);
        $this->repeats->readUntil($phrase);
        $this->moments->readPick($phrase);
        $this->words->read($phrase);
        $parts = $this->withChoices($this->withDays($phrase->parts()), $phrase);

        return new Line($phrase->text, self::title($phrase->text, $parts), $parts);
    }

    /** Reads the signs of todo.txt alone; all other words are the title. */
    public function signs(string $text): Line
    {
        $phrase = new Phrase(self::clean($text), []);
        $this->signs->read($phrase);
        $parts = $this->withDays($phrase->parts());

        return new Line($phrase->text, self::title($phrase->text, $parts), $parts);
    }

    /** One line of printable characters, each where it was. Signs that turn the direction of writing over are left out. */
    private static function clean(string $text): string
    {
        $text = (string) preg_replace('/[\p{Cc}\p{Zl}\p{Zp}\x{202A}-\x{202E}\x{2066}-\x{2069}]/u', ' ', mb_scrub(mb_strcut($text, 0, 4 * self::MOST_CHARACTERS)));

        return rtrim((string) preg_replace('/(?<![\w:-])(\d{4}-\d{2}-\d{2})T(?=\d{2}:\d{2})/', '$1 ', mb_substr($text, 0, self::MOST_CHARACTERS)));
    }

    /**
     * A time without a day belongs to the day the line names, to the first day it comes back, or is the next such time.
     *
     * @param  list<Understood>  $parts
     * @return list<Understood>
     */
    private function withDays(array $parts): array
    {
        $named = $repeat = $start = null;
        foreach ($parts as $part) {
            $named = $part->kind === Kind::On && $part->value instanceof When ? $part->value->day : $named;
            $repeat = $part->value instanceof Recurrence ? $part->value : $repeat;
            $start = $part->kind === Kind::Start && $part->value instanceof When ? $part->value->day : $start;
        }

        return array_map(function (Understood $part) use ($named, $repeat, $start): Understood {
            $due = $part->kind === Kind::Due && $part->value instanceof When ? $part->value : null;
            if ($due?->day !== null && $start !== null && $due->day->number < $start->number) { // from monday to friday
                return new Understood($part->kind, $part->start, $part->length, new When($due->day->plusDays(7 * intdiv($start->number - $due->day->number + 6, 7)), $due->minuteOfDay));
            }
            $time = $part->value instanceof When && $part->value->day === null ? (int) $part->value->minuteOfDay : null;
            if ($time === null) {
                return $part;
            }
            $from = $time > $this->minuteOfDay ? $this->today : $this->today->plusDays(1);
            $day = $named ?? ($repeat?->rule === null ? $from : FirstDay::of($repeat->rule, $from));

            return new Understood($part->kind, $part->start, $part->length, new When($day, $time));
        }, $parts);
    }

    /**
     * Where words may mean something else as well, what to write for that.
     *
     * @param  list<Understood>  $parts
     * @return list<Understood>
     */
    private function withChoices(array $parts, Phrase $phrase): array
    {
        return array_map(function (Understood $part) use ($phrase): Understood {
            $words = mb_substr($phrase->text, $part->start, $part->length);
            $instead = $part->value instanceof When ? $this->otherMeaning($words, $part->value, $phrase->daytime) : null;

            return $instead === null ? $part : new Understood($part->kind, $part->start, $part->length, $part->value, null, $instead);
        }, $parts);
    }

    private function otherMeaning(string $words, When $when, Daytime $daytime): ?string
    {
        if (preg_match('/\bnext\s+(?='.DayReader::WEEKDAY.'\b)/i', $words, $match, PREG_OFFSET_CAPTURE) === 1 && $when->day !== null && $when->day->number - 7 > $this->today->number) {
            return substr_replace($words, 'this ', $match[0][1], strlen($match[0][0]));
        }
        if (preg_match('/^in\s+(.*\S)\s*$/iu', $words, $match) === 1 && $when->minuteOfDay !== null) {
            return 'for '.$match[1]; // in that time, or for so long
        }

        return $when->minuteOfDay === null ? null : ClockReader::otherHalf($words, $when->minuteOfDay, $daytime);
    }

    /** @param  list<Understood>  $parts  by their place */
    private static function title(string $text, array $parts): string
    {
        if ($parts === []) {
            return trim((string) preg_replace('/\s+/u', ' ', $text));
        }
        $title = '';
        $at = 0;
        foreach ($parts as $part) {
            if ($part->problem === null) {
                $title .= mb_substr($text, $at, $part->start - $at).' '.Phrase::TAKEN.' ';
                $at = $part->start + $part->length;
            }
        }
        $title .= mb_substr($text, $at);
        $taken = Phrase::TAKEN;
        $join = '(?:and|[-–—&|\/+])'; // what joined words that were understood to others
        $title = (string) preg_replace([
            '/\s+/u',
            "/{$taken}(?:[\s,;]*(?:{$join}\s)?\s*{$taken})+/u",
            '/[(\[]\s*'.$taken.'\s*[)\]]/u',
            "/^\s*{$taken}\s*(?:{$join}|[:.,;])\s+/u",
            "/^\s*(?:[-–—|\/+]\s+)?{$taken}/u",
            "/(?:\s+{$join}|\s*:)\s+{$taken}\s*([.!?]?)\s*$/u",
            "/\s([-–—|\/])\s+{$taken}\s*[-–—|\/]\s/u",
            "/{$taken}/u",
            '/\s+/u', '/\s+([,;.!?:)])/u', '/([,;:])(?:\s*[,;])+/u', '/[(\[]\s*[)\]]/u', '/[,;]\s*([.!?])/u',
        ], [' ', $taken, $taken, '', '', '$1', ' $1 ', ' ', ' ', '$1', '$1', '', '$1'], $title);
        $title = trim($title, " ,;\t");
        $title = (string) preg_replace(['/^[:.–—-]\s+/u', '/\s+[:–—-]$/u', '/^[.:–—-]+$/u'], '', $title);

        return trim($title) === '' ? trim($text) : trim($title);
    }
}
