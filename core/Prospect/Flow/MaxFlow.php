<?php

declare(strict_types=1);

namespace Nekto\Core\Prospect\Flow;

/**
 * The most that flows from a source to a sink through edges of limited capacity: shortest augmenting paths by levels (E. A.
 * Dinic, "Algorithm for solution of a problem of maximum flow in a network with power estimation", Soviet Mathematics
 * Doklady 11, 1970). Edges may be added and widened after a flow was found; the next one goes on from it.
 */
final class MaxFlow
{
    public const SOURCE = 0;

    public const SINK = 1;

    /** All that has reached the sink, in the unit of the capacities. */
    public int $flow = 0;

    /** @var list<list<int>> edges by node; an edge's reverse is its neighbour in number */
    private array $edges = [[], []];

    /** @var list<int> where each edge leads */
    private array $to = [];

    /** @var array<int, int> what each can still carry */
    private array $room = [];

    /** @var array<int, int> distance from the source, by node */
    private array $level = [];

    /** @var array<int, int> by node: the edge that is tried next */
    private array $next = [];

    /** @return int a new node */
    public function node(): int
    {
        $this->edges[] = [];

        return count($this->edges) - 1;
    }

    /**
     * @param  int  $capacity  what it can carry, 0 or more
     * @return int the edge, to widen it later
     */
    public function edge(int $from, int $to, int $capacity): int
    {
        $edge = count($this->to);
        $this->edges[$from][] = $edge;
        $this->edges[$to][] = $edge + 1;
        array_push($this->to, $to, $from);
        array_push($this->room, $capacity, 0);

        return $edge;
    }

    /** @param  int  $by  what it can carry more, 0 or more */
    public function widen(int $edge, int $by): void
    {
        $this->room[$edge] += $by;
    }

    /** Lets flow what more can. */
    public function run(): void
    {
        while ($this->findLevels()) {
            $this->next = [];
            while (($pushed = $this->push(self::SOURCE, PHP_INT_MAX)) > 0) {
                $this->flow += $pushed;
            }
        }
    }

    /** @return array<int, true> nodes that more could reach: those before the narrowest cut */
    public function before(): array
    {
        $this->findLevels();

        return array_map(static fn (): bool => true, $this->level);
    }

    private function findLevels(): bool
    {
        $this->level = [self::SOURCE => 0];
        $queue = [self::SOURCE];
        for ($i = 0; $i < count($queue); $i++) {
            $node = $queue[$i];
            foreach ($this->edges[$node] as $edge) {
                $to = $this->to[$edge];
                if ($this->room[$edge] > 0 && ! isset($this->level[$to])) {
                    $this->level[$to] = $this->level[$node] + 1;
                    $queue[] = $to;
                }
            }
        }

        return isset($this->level[self::SINK]);
    }

    private function push(int $node, int $most): int
    {
        if ($node === self::SINK) {
            return $most;
        }
        $edges = $this->edges[$node];
        for ($i = $this->next[$node] ?? 0, $count = count($edges); $i < $count; $i++) {
            $this->next[$node] = $i;
            $edge = $edges[$i];
            $to = $this->to[$edge];
            if ($this->room[$edge] > 0 && ($this->level[$to] ?? -1) === $this->level[$node] + 1) {
                $pushed = $this->push($to, min($most, $this->room[$edge]));
                if ($pushed > 0) {
                    $this->room[$edge] -= $pushed;
                    $this->room[$edge ^ 1] += $pushed;

                    return $pushed;
                }
            }
        }
        $this->next[$node] = $count;

        return 0;
    }
}
