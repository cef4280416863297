<?php

declare(strict_types=1);

namespace Nekto\Core\Propose;

/**
 * Naive Bayes over the words that a line has: the chance of each label is how common it is, times how often lines that got
 * it had each of these words. Source: McCallum and Nigam, "A Comparison of Event Models for Naive Bayes Text
 * Classification", 1998 (the Bernoulli model, of which only the words that are there are looked at).
 */
final class LikelyLabel
{
    /** Examples with a word of the line that got the label, before it is spoken of. */
    private const HANDFUL = 5;

    /** Chance from which it is spoken of. */
    private const SURE = 0.8;

    /** Added to each count, so that what was never seen is not impossible. */
    private const SMOOTHING = 0.2;

    /** Stands for an example that got none. */
    private const NONE = '';

    private int $examples = 0;

    /** @var array<int|string, int> */
    private array $byLabel = [];

    /** @var array<string, array<int|string, int>> by word and label */
    private array $byWord = [];

    /** @param  list<string>  $words  as TellingWords has them */
    public function learn(array $words, int|string|null $label): void
    {
        $label ??= self::NONE;
        $this->examples++;
        $this->byLabel[$label] = ($this->byLabel[$label] ?? 0) + 1;
        foreach ($words as $word) {
            $this->byWord[$word][$label] = ($this->byWord[$word][$label] ?? 0) + 1;
        }
    }

    /**
     * Null where nothing is likely enough, or too few examples speak for it.
     *
     * @param  list<string>  $words
     */
    public function propose(array $words): ?Proposal
    {
        $known = array_values(array_filter($words, fn (string $word): bool => isset($this->byWord[$word])));
        if ($known === []) {
            return null;
        }
        $scores = [];
        [$label, $most] = [self::NONE, -INF];
        foreach ($this->byLabel as $one => $count) {
            $score = log($count / $this->examples);
            foreach ($known as $word) {
                $score += log((($this->byWord[$word][$one] ?? 0) + self::SMOOTHING) / ($count + 2 * self::SMOOTHING));
            }
            $scores[$one] = $score;
            [$label, $most] = $score > $most ? [$one, $score] : [$label, $most];
        }
        $chance = 1 / array_sum(array_map(static fn (float $score): float => exp($score - $most), $scores));
        if ($label === self::NONE || $chance < self::SURE) {
            return null;
        }
        $best = $this->telling($known, $label);
        $had = $this->byWord[$best][$label] ?? 0;

        return $had < self::HANDFUL ? null : new Proposal($label, $chance, $best, $had, array_sum($this->byWord[$best]));
    }

    /**
     * The word that speaks for the label most: of which the largest share got it, among those that enough examples have.
     *
     * @param  non-empty-list<string>  $known
     */
    private function telling(array $known, int|string $label): string
    {
        $share = fn (string $word): array => [($this->byWord[$word][$label] ?? 0) >= self::HANDFUL, ($this->byWord[$word][$label] ?? 0) / array_sum($this->byWord[$word]), $this->byWord[$word][$label] ?? 0];
        usort($known, static fn (string $a, string $b): int => $share($b) <=> $share($a));

        return $known[0];
    }
}
