<?php

declare(strict_types=1);

namespace App\Exchange;

/** Names tasks of files that give them none: by what they say, and the how manieth of that it is. */
final class Keys
{
    /** @var array<string, int> */
    private array $seen = [];

    public function __construct(private readonly Format $format) {}

    public function of(string ...$facts): string
    {
        $name = $this->format->value.':'.sha1(implode("\n", $facts));
        $this->seen[$name] = ($this->seen[$name] ?? 0) + 1;

        return $name.($this->seen[$name] > 1 ? '#'.$this->seen[$name] : '');
    }
}
