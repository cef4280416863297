<?php

declare(strict_types=1);

namespace App\Wording;

use App\Models\User;
use Carbon\CarbonImmutable;
use Nekto\Core\Time\LocalDay;

/** Dates in the language and order that the person reads them in. */
final class Dates
{
    /** By key: what it is called, whose names it has, a day of a month, and what stands between weekday and that. */
    public const LANGUAGES = [
        'en' => ['English, 11 March', 'en', '{n} {m}', ' '],
        'us' => ['English, March 11', 'en', '{m} {n}', ', '],
        'iso' => ['English, 03-11', 'en', '{mm}-{nn}', ' '],
        'da' => ['Dansk', 'da', '{n}. {m}', ' '],
        'de' => ['Deutsch', 'de', '{n}. {m}', ', '],
        'es' => ['Español', 'es', '{n} de {m}', ' '],
        'fr' => ['Français', 'fr', '{n} {m}', ' '],
        'it' => ['Italiano', 'it', '{n} {m}', ' '],
        'nl' => ['Nederlands', 'nl', '{n} {m}', ' '],
        'pl' => ['Polski', 'pl', '{n} {m}', ', '],
        'pt' => ['Português', 'pt', '{n} de {m}', ', '],
        'sv' => ['Svenska', 'sv', '{n} {m}', ' '],
    ];

    /** The names that nearly everybody has: without asking anybody for them. */
    private const ENGLISH = [
        ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'],
        ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'],
        ['January', 'February', 'March', 'April', 'May', 'June', 'July', 'August', 'September', 'October', 'November', 'December'],
        ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'],
    ];

    /** @var array<string, self> */
    private static array $known = [];

    /**
     * @param  list<string>  $days  from Monday
     * @param  list<string>  $shortDays
     * @param  list<string>  $months
     * @param  list<string>  $shortMonths
     */
    private function __construct(private readonly string $key, private readonly string $ofMonth, private readonly string $between, private readonly array $days, private readonly array $shortDays, private readonly array $months, private readonly array $shortMonths) {}

    public static function of(User $user): self
    {
        return self::in(isset(self::LANGUAGES[$user->dates]) ? $user->dates : 'en');
    }

    public static function in(string $key): self
    {
        if (! isset(self::$known[$key])) {
            [, $locale, $ofMonth, $between] = self::LANGUAGES[$key];
            self::$known[$key] = new self($key, $ofMonth, $between, ...($locale === 'en' ? self::ENGLISH : self::names($locale)));
        }

        return self::$known[$key];
    }

    /** @return array{list<string>, list<string>, list<string>, list<string>} weekdays from Monday, whole and short; months likewise */
    private static function names(string $locale): array
    {
        $monday = (CarbonImmutable::create(2024, 1, 1, 12, timezone: 'UTC') ?? throw new \LogicException('It is a Monday.'))->locale($locale);
        $days = array_map(static fn (int $i): CarbonImmutable => $monday->addDays($i), range(0, 6));
        $months = array_map(static fn (int $i): CarbonImmutable => $monday->addMonths($i), range(0, 11));
        $name = static fn (string $words): string => rtrim((string) preg_replace('/^1[.°º]?(?:er)?\s+(?:de\s+)?/u', '', $words), '.');

        return [
            array_map(static fn (CarbonImmutable $one): string => $one->isoFormat('dddd'), $days),
            array_map(static fn (CarbonImmutable $one): string => rtrim($one->isoFormat('ddd'), '.'), $days),
            array_map(static fn (CarbonImmutable $one): string => $name($one->isoFormat('D MMMM')), $months),
            array_map(static fn (CarbonImmutable $one): string => $name($one->isoFormat('D MMM')), $months),
        ];
    }

    /** "Wednesday 11 March"; with its year, if wanted. */
    public function long(LocalDay|CarbonImmutable $date, bool $year = false): string
    {
        $day = self::day($date);
        $words = $this->days[$day->weekday() - 1].$this->between.$this->dayOfMonth($day, $this->months);

        return $year ? $this->withYear($words, $day) : $words;
    }

    /** "Wed 11". */
    public function near(LocalDay|CarbonImmutable $date): string
    {
        $day = self::day($date);

        return $this->shortDays[$day->weekday() - 1].' '.$day->dayOfMonth();
    }

    /** "Wednesday 11". */
    public function weekdayOf(LocalDay|CarbonImmutable $date): string
    {
        $day = self::day($date);

        return $this->days[$day->weekday() - 1].' '.$day->dayOfMonth();
    }

    /** "Wed 11 Mar". */
    public function short(LocalDay|CarbonImmutable $date): string
    {
        $day = self::day($date);

        return $this->shortDays[$day->weekday() - 1].' '.$this->dayOfMonth($day, $this->shortMonths);
    }

    /** "Wed 11 Mar 2026", as fields for dates have it. */
    public function full(LocalDay|CarbonImmutable $date): string
    {
        return $this->withYear($this->short($date), self::day($date));
    }

    /** "11 Mar". */
    public function ofMonth(LocalDay|CarbonImmutable $date): string
    {
        return $this->dayOfMonth(self::day($date), $this->shortMonths);
    }

    /** "9 to 15 March", "30 March to 5 April"; with years where they differ. */
    public function span(LocalDay $first, LocalDay $last): string
    {
        $isShort = $first->month() === $last->month() && $first->year() === $last->year() && preg_match('/^\{n\}\.?/', $this->ofMonth, $day) === 1;
        $from = $isShort ? str_replace('{n}', (string) $first->dayOfMonth(), $day[0]) : $this->ofLongMonth($first);

        return __('app.span', $first->year() === $last->year() ? ['from' => $from, 'to' => $this->ofLongMonth($last)] : ['from' => "{$from} {$first->year()}", 'to' => "{$this->ofLongMonth($last)} {$last->year()}"]);
    }

    /** "11 March". */
    public function ofLongMonth(LocalDay|CarbonImmutable $date): string
    {
        return $this->dayOfMonth(self::day($date), $this->months);
    }

    /** "11 Mar 2027". */
    public function withMonthAndYear(LocalDay|CarbonImmutable $date): string
    {
        return $this->withYear($this->ofMonth($date), self::day($date));
    }

    /** The name of a weekday, 1 Monday to 7 Sunday. */
    public function weekday(int $number, bool $short = false): string
    {
        return $short ? $this->shortDays[$number - 1] : $this->days[$number - 1];
    }

    /** A typed date with the names of months and days as Nekto's own grammar knows them. */
    public function understood(string $text): string
    {
        if (in_array($this->key, ['en', 'us', 'iso'], true)) {
            return $text;
        }
        $days = implode('|', array_map(static fn (string $name): string => preg_quote($name, '/'), [...$this->days, ...$this->shortDays]));
        $text = (string) preg_replace("/^\\s*(?:{$days})[.,]?\\s*(?=\\d)/iu", '', $text); // a weekday may be called like a month: before a date it tells nothing more
        $english = self::in('en');
        $names = [];
        foreach ([[$this->months, $english->months], [$this->days, $english->days], [$this->shortMonths, $english->shortMonths], [$this->shortDays, $english->shortDays]] as [$own, $theirs]) {
            foreach ($own as $i => $name) {
                $names[mb_strtolower($name)] ??= $theirs[$i];
            }
        }
        uksort($names, static fn (string $a, string $b): int => mb_strlen($b) <=> mb_strlen($a));
        foreach ($names as $name => $theirs) {
            $text = (string) preg_replace('/(?<!\pL)'.preg_quote($name, '/').'\.?(?!\pL)/iu', $theirs, $text);
        }

        return trim((string) preg_replace(['/(?<=\d)\.(?=\s+\pL)/u', '/(?<=\d)\s+de\s+/iu', '/,\s*(?=\d)/u', '/(\pL)\s+de\s+(?=\d{4})/iu'], ['', ' ', ' ', '$1 '], $text));
    }

    /** @param  list<string>  $months */
    private function dayOfMonth(LocalDay $day, array $months): string
    {
        return strtr($this->ofMonth, ['{n}' => $day->dayOfMonth(), '{m}' => $months[$day->month() - 1], '{mm}' => sprintf('%02d', $day->month()), '{nn}' => sprintf('%02d', $day->dayOfMonth())]);
    }

    private function withYear(string $words, LocalDay $day): string
    {
        return match ($this->key) {
            'us' => "{$words}, {$day->year()}",
            'iso' => str_replace($this->dayOfMonth($day, $this->months), $day->asString(), $words),
            'es', 'pt' => "{$words} de {$day->year()}",
            default => "{$words} {$day->year()}",
        };
    }

    private static function day(LocalDay|CarbonImmutable $date): LocalDay
    {
        return $date instanceof LocalDay ? $date : LocalDay::fromString($date->format('Y-m-d'));
    }
}
