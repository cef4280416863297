<?php

declare(strict_types=1);

namespace App\Rows;

use Nekto\Core\Prospect\Slack;

/** How far each planned block can slip, all together: the one slack that every screen says. */
final readonly class Slacks
{
    /** @param  array<string, array{int, int, int, bool}>  $blocks  latest start, slack, lateness and whether a date holds it, by task and planned start as "12/29553660" */
    private function __construct(public array $blocks) {}

    /** @param  array<string, Slack>  $blocks */
    public static function from(array $blocks): self
    {
        return new self(array_map(static fn (Slack $one): array => [$one->latestStart, $one->minutes, $one->late, $one->dated], $blocks));
    }

    public static function read(string $json): self
    {
        return new self((array) json_decode($json, true));
    }

    /** Null for one that is anchored, begun, or whose task has no place for all of its work. */
    public function of(int $task, int $start): ?Slack
    {
        $one = $this->blocks["{$task}/{$start}"] ?? null;

        return $one === null ? null : new Slack($start, $one[0], $one[1], $one[2], $one[3]);
    }
}
