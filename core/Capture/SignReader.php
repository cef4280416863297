<?php

declare(strict_types=1);

namespace Nekto\Core\Capture;

use Nekto\Core\Task\Importance;
use Nekto\Core\Time\LocalDay;

/** Reads addresses, and the signs of the open todo.txt format: +project, @context, key:value. */
final readonly class SignReader
{
    private const BEFORE = '(?<![^\s,;(])';

    public function __construct(private DayReader $days, private LocalDay $today) {}

    public function read(Phrase $phrase): void
    {
        $phrase->look(Kind::Link, '(?:\b(?:link|url):)?https?:\/\/[^\s<>"]*[^\s<>".,;:!?\'’)\]]', static fn (array $part): string => (string) preg_replace('/^(?:link|url):/i', '', $part['all']));
        $quoted = '["“„«](?<name>[^"“”„«»]{1,100})["”“»](?!\w)';
        $phrase->look(Kind::Project, self::BEFORE.'(?:\+|project:)'.$quoted, static fn (array $part): ?string => self::name($part['name']));
        $phrase->look(Kind::Context, self::BEFORE.'(?:@|context:)'.$quoted, static fn (array $part): ?string => self::name($part['name']));
        $phrase->look(Kind::Waiting, self::BEFORE.'wait(?:ing)?:'.$quoted, static fn (array $part): ?string => self::name($part['name']));
        foreach ($this->keys() as $keys => [$kind, $read]) {
            $phrase->look($kind, self::BEFORE."(?:{$keys}):(?<name>(?![\"“„«])[^\\s,;]*[^\\s,;.!?])", static fn (array $part): int|string|When|Recurrence|Importance|Problem|null => $read($part['name']));
        }
        $phrase->look(Kind::Project, self::BEFORE.'\+(?<name>[^\s,;+@]*[\p{L}\p{N}])', static fn (array $part): ?string => preg_match('/\p{L}/u', $part['name']) === 1 ? $part['name'] : null);
        $phrase->look(Kind::Context, self::BEFORE.'@(?!(?:'.ClockReader::TIME.')(?![\w:]))(?<name>[\p{L}\p{N}][^\s,;+@]*(?<=[\p{L}\p{N}]))', static fn (array $part): string => $part['name']);
    }

    /** @return array<string, array{Kind, \Closure(string): (int|string|When|Recurrence|Importance|Problem|null)}> */
    private function keys(): array
    {
        $day = fn (string $text): When|Problem|null => $this->day($text);

        return [
            'due' => [Kind::Due, $day],
            'start|from|t' => [Kind::Start, $day],
            'on' => [Kind::On, $day],
            'ask' => [Kind::Ask, $day],
            'at' => [Kind::At, static function (string $text): ?When {
                $minute = preg_match('/^(?:'.ClockReader::TIME.')$/Diu', $text) === 1 ? ClockReader::read($text) : -1;

                return $minute < 0 ? null : new When(null, $minute);
            }],
            'for|minutes|estimate' => [Kind::Minutes, static fn (string $text): int|Problem|null => self::minutes($text)],
            'importance' => [Kind::Importance, Importance::fromWord(...)],
            'wait|waiting' => [Kind::Waiting, static fn (string $text): string => strtr($text, '_', ' ')],
            'project' => [Kind::Project, static fn (string $text): string => $text],
            'context' => [Kind::Context, static fn (string $text): string => $text],
        ];
    }

    /** Of a name that is more than signs. */
    private static function name(string $text): ?string
    {
        return preg_match('/[\p{L}\p{N}]/u', $text) === 1 ? trim($text) : null;
    }

    private static function minutes(string $text): int|Problem|null
    {
        $read = DurationReader::read($text);

        return $read === Problem::NoDuration ? null : $read;
    }

    /** "2026-03-13", "friday", "2026-03-13T15:00"; null for what is no day at all. */
    private function day(string $text): When|Problem|null
    {
        $clock = null;
        if (preg_match('/^(.+?)T(\d{1,2}:\d{2})(?::\d{2})?$/Di', $text, $part) === 1) {
            $text = $part[1];
            $clock = ClockReader::read($part[2]);
        }
        $text = strtr($text, '_', ' ');
        if ($clock === -1) {
            return Problem::NoSuchTime;
        }
        if (preg_match('/^(?:'.DayReader::PHRASE.')$/Diu', $text) !== 1) {
            return null;
        }
        $day = $this->days->read($text);

        return $day->number < $this->today->number ? Problem::BeforeNow : new When($day, $clock);
    }
}
