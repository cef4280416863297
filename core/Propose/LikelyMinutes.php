<?php

declare(strict_types=1);

namespace Nekto\Core\Propose;

/** How long similar lines were estimated to take: the middle of those that share the most telling word, if they agree. */
final class LikelyMinutes
{
    private const HANDFUL = 5;

    /** The fourth fifth is at most so many times the first, or they do not agree. */
    private const SPREAD = 2.0;

    /** @var array<string, list<int>> minutes by word, as they were learned */
    private array $byWord = [];

    /** @param  list<string>  $words  as TellingWords has them */
    public function learn(array $words, int $minutes): void
    {
        foreach ($words as $word) {
            $this->byWord[$word][] = $minutes;
        }
    }

    /** @param  list<string>  $words */
    public function propose(array $words): ?Proposal
    {
        $best = null;
        foreach ($words as $word) {
            $minutes = $this->byWord[$word] ?? [];
            sort($minutes);
            $count = count($minutes);
            if ($count < self::HANDFUL) {
                continue;
            }
            [$low, $middle, $high] = [$minutes[intdiv($count, 5)], $minutes[intdiv($count, 2)], $minutes[intdiv(4 * $count, 5)]];
            $same = count(array_filter($minutes, static fn (int $one): bool => $one === $middle));
            $spread = $high / max(1, $low);
            if ($spread <= self::SPREAD && ($best === null || $spread < $best[0] || ($spread === $best[0] && $same / $count > $best[1]->chance))) {
                $best = [$spread, new Proposal($middle, $same / $count, $word, $same, $count)];
            }
        }

        return $best[1] ?? null;
    }
}
