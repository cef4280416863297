<?php

declare(strict_types=1);

namespace App\Rows;

use Nekto\Core\Prospect\Slack;

/** How far each planned block can slip, all together, and what is late as it is: the one slack that every screen says. */
final class Slacks
{
    /** @var array<int, int>|null the start of its first block by task */
    private ?array $first = null;

    /**
     * @param  array<string, array{int, int, int, bool}>  $blocks  latest start, slack, lateness and whether a date holds it, by task and planned start as "12/29553660"
     * @param  array<int, int>  $late  minutes by task that would be finished after its due date by this plan, or not at all
     */
    private function __construct(public readonly array $blocks, public readonly array $late) {}

    /**
     * @param  array<string, Slack>  $blocks
     * @param  array<int, int>  $late
     */
    public static function from(array $blocks, array $late): self
    {
        return new self(array_map(static fn (Slack $one): array => [$one->latestStart, $one->minutes, $one->late, $one->dated], $blocks), $late);
    }

    public static function read(string $blocks, string $late): self
    {
        return new self((array) json_decode($blocks, true), (array) json_decode($late, true));
    }

    /** That of a task's first block, also where that is not laid out yet. */
    public function first(int $task): ?Slack
    {
        if ($this->first === null) {
            $this->first = [];
            foreach (array_keys($this->blocks) as $key) {
                [$id, $start] = array_map(intval(...), explode('/', $key));
                $this->first[$id] = min($this->first[$id] ?? $start, $start);
            }
        }

        return isset($this->first[$task]) ? $this->of($task, $this->first[$task]) : null;
    }

    /** Null for one that is anchored, begun, or whose task has no place for all of its work. */
    public function of(int $task, int $start): ?Slack
    {
        $one = $this->blocks["{$task}/{$start}"] ?? null;

        return $one === null ? null : new Slack($start, $one[0], $one[1], $one[2], $one[3]);
    }
}
