<?php

declare(strict_types=1);

namespace Bench;

/** One run of the planner's command, the interpreter's start included. */
final readonly class Run
{
    /**
     * @param  array<string, mixed>|null  $plan  decoded; null if the command failed
     * @param  float  $milliseconds  of the whole process
     */
    private function __construct(public ?array $plan, public float $milliseconds) {}

    /** @param  string|null  $tempo  calm, even or eager; null: what the problem says */
    public static function of(string $problem, ?int $effort = null, ?string $tempo = null): self
    {
        $start = hrtime(true);
        $process = proc_open(
            [PHP_BINARY, dirname(__DIR__).'/core/bin/plan', (string) $effort, ...($tempo === null ? [] : [$tempo])],
            [['pipe', 'r'], ['pipe', 'w'], ['file', '/dev/null', 'w']],
            $pipes,
        );
        if ($process === false) {
            return new self(null, 0.0);
        }
        fwrite($pipes[0], $problem);
        fclose($pipes[0]);
        $plan = json_decode((string) stream_get_contents($pipes[1]), true);
        $status = proc_close($process);

        return new self($status === 0 && is_array($plan) ? $plan : null, (hrtime(true) - $start) / 1e6);
    }

    /** Most memory that any run so far took at once, in MB. */
    public static function peak(): float
    {
        return (getrusage(1)['ru_maxrss'] ?? 0) / 1024;
    }

    /** @param  non-empty-list<float>  $values */
    public static function median(array $values): float
    {
        sort($values);

        return ($values[intdiv(count($values) - 1, 2)] + $values[intdiv(count($values), 2)]) / 2;
    }
}
