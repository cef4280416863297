<?php

declare(strict_types=1);

namespace Nekto\Core\Propose;

/** What a new line may get, learned from what a person's earlier lines got. */
final class Proposals
{
    public const FIELDS = ['project', 'area', 'context', 'demand'];

    /** @var array<string, LikelyLabel> */
    private array $labels = [];

    private LikelyMinutes $minutes;

    public function __construct()
    {
        foreach (self::FIELDS as $field) {
            $this->labels[$field] = new LikelyLabel;
        }
        $this->minutes = new LikelyMinutes;
    }

    /** @param  array{project: int|null, area: int|null, context: int|null, demand: string|null, minutes: int|null}  $got */
    public function learn(string $line, array $got): void
    {
        $words = TellingWords::of($line);
        foreach (self::FIELDS as $field) {
            $this->labels[$field]->learn($words, $got[$field]);
        }
        $got['minutes'] === null || $this->minutes->learn($words, $got['minutes']);
    }

    /** @return array<string, Proposal> by field: "project", "area", "context", "demand" and "minutes", where there is one */
    public function for(string $line): array
    {
        $words = TellingWords::of($line);
        $proposals = array_map(static fn (LikelyLabel $label): ?Proposal => $label->propose($words), $this->labels);
        $proposals['minutes'] = $this->minutes->propose($words);

        return array_filter($proposals);
    }
}
