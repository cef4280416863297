<?php

declare(strict_types=1);

namespace App\Rows;

/** A line of a day's account: one task. */
final readonly class AccountRow
{
    /**
     * @param  int  $promised  minutes, as $actual
     * @param  bool  $due  by the end of that day
     * @param  bool  $done  by the end of that day
     * @param  int|null  $next  when its next block begins, in minutes since 1970-01-01T00:00Z
     * @param  string|null  $fate  what was decided about it, where it has no next block or does not need one: waits, waiting, someday, let_go
     */
    public function __construct(
        public int $task,
        public string $title,
        public int $area,
        public string $areaName,
        public string $hue,
        public int $promised,
        public int $actual,
        public Became $became,
        public bool $key,
        public bool $due,
        public bool $done,
        public ?int $next,
        public ?string $fate,
    ) {}

    public function difference(): int
    {
        return $this->actual - $this->promised;
    }

    /** @return array<string, int|string|bool|null> as it is kept with a closed day */
    public function toArray(): array
    {
        return [...get_object_vars($this), 'became' => $this->became->value];
    }

    /** @param  array<string, mixed>  $kept */
    public static function from(array $kept): self
    {
        return new self(
            (int) $kept['task'], (string) $kept['title'], (int) $kept['area'], (string) $kept['areaName'], (string) $kept['hue'], (int) $kept['promised'], (int) $kept['actual'],
            Became::from((string) $kept['became']), (bool) $kept['key'], (bool) $kept['due'], (bool) $kept['done'], isset($kept['next']) ? (int) $kept['next'] : null, isset($kept['fate']) ? (string) $kept['fate'] : null,
        );
    }
}
