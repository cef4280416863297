<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Nekto\Core\Hours\InvalidHours;
use Nekto\Core\Hours\Stretch;

/** Reads hours as people write them: "09:00–12:30, 13:15–17:30", or nothing for a closed day. */
trait ReadsStretches
{
    /** @return \Closure(string, mixed, \Closure): void */
    private function stretchesRule(): \Closure
    {
        return function (string $name, mixed $value, \Closure $fail): void {
            try {
                $this->readStretches((string) $value);
            } catch (InvalidHours $error) {
                $fail($error->getMessage());
            }
        };
    }

    /**
     * @return list<array{string, string}> by their start
     *
     * @throws InvalidHours if it is none, ends before it starts, or two overlap
     */
    private function readStretches(string $text): array
    {
        $stretches = [];
        foreach (preg_split('/[,;]|\band\b/', $text) ?: [] as $part) {
            if (trim($part) === '') {
                continue;
            }
            if (preg_match('/^\s*(\d{1,2})(?:[:.](\d{2}))?\s*(?:-|–|—|to)\s*(\d{1,2})(?:[:.](\d{2}))?\s*$/Du', $part, $match) !== 1) {
                throw InvalidHours::notAClockTime(trim($part));
            }
            $stretches[] = Stretch::fromClock(
                sprintf('%02d:%02d', $match[1], (int) $match[2]),
                sprintf('%02d:%02d', $match[3], (int) ($match[4] ?? 0)),
            );
        }
        usort($stretches, static fn (Stretch $a, Stretch $b): int => $a->from <=> $b->from);
        foreach ($stretches as $i => $stretch) {
            if ($i > 0 && $stretch->from < $stretches[$i - 1]->to) {
                throw InvalidHours::overlap($stretch->from);
            }
        }

        return array_map(static fn (Stretch $one): array => [Stretch::clock($one->from), Stretch::clock($one->to)], $stretches);
    }
}
