<?php

declare(strict_types=1);

namespace Nekto\Core\Capture;

/** How something comes back: by a rule of the calendar, or so long after it was done. */
final readonly class Recurrence
{
    /**
     * @param  string|null  $rule  as in RFC 5545, "FREQ=WEEKLY;BYDAY=TU"
     * @param  string|null  $afterDone  an ISO 8601 duration of whole days, weeks, months or years, "P3D"
     */
    private function __construct(public ?string $rule, public ?string $afterDone) {}

    public static function byRule(string $rule): self
    {
        return new self($rule, null);
    }

    public static function afterDone(int $count, string $unit): self
    {
        return new self(null, "P{$count}".strtoupper($unit[0]));
    }

    /** The same until a day, or so many times. */
    public function until(When|int $last): self
    {
        if ($this->rule === null) {
            return $this;
        }

        return new self($this->rule.($last instanceof When ? ';UNTIL='.strtr($last->asString(), ['-' => '']) : ";COUNT={$last}"), null);
    }
}
