<?php

declare(strict_types=1);

namespace Nekto\Core\Planning\Format;

use Nekto\Core\Plan\InvalidProblem;
use Nekto\Core\Time\InvalidTime;
use Nekto\Core\Time\LocalDay;

/** A decoded JSON object that knows its path, so that whatever is wrong with a value can be said with its place. */
final readonly class Fields
{
    private const RFC3339 = '/^(\d{4})-(\d{2})-(\d{2})T([01]\d|2[0-3]):([0-5]\d):00(?:\.0+)?(?:Z|([+-])([01]\d|2[0-3]):([0-5]\d))$/Di';

    /** @param  array<array-key, mixed>  $values */
    private function __construct(private array $values, public string $path) {}

    /** @throws InvalidProblem if the value is no JSON object */
    public static function of(mixed $value, string $path): self
    {
        is_array($value) && ($value === [] || ! array_is_list($value)) || throw InvalidProblem::at($path, 'must be an object');

        return new self($value, $path);
    }

    /** True if the key is there and not null. */
    public function has(string $key): bool
    {
        return isset($this->values[$key]);
    }

    /** @return list<string> */
    public function names(): array
    {
        return array_map(strval(...), array_keys($this->values));
    }

    /** An empty object where the key is missing. */
    public function objectOrEmpty(string $key): self
    {
        return $this->has($key) ? $this->object($key) : new self([], "{$this->path}.{$key}");
    }

    /** @return list<self> none where the key is missing */
    public function objectsOrNone(string $key): array
    {
        return $this->has($key) ? $this->objects($key) : [];
    }

    public function object(string $key): self
    {
        return self::of($this->value($key), "{$this->path}.{$key}");
    }

    /** @return list<self> */
    public function objects(string $key): array
    {
        $objects = [];
        foreach ($this->list($key) as $i => $value) {
            $objects[] = self::of($value, "{$this->path}.{$key}[{$i}]");
        }

        return $objects;
    }

    public function string(string $key): string
    {
        $value = $this->value($key);

        return is_string($value) ? $value : throw $this->wrong($key, 'must be a string');
    }

    /** @return list<string> */
    public function strings(string $key): array
    {
        $strings = [];
        foreach ($this->list($key) as $value) {
            $strings[] = is_string($value) ? $value : throw $this->wrong($key, 'must hold strings');
        }

        return $strings;
    }

    public function boolean(string $key): bool
    {
        $value = $this->value($key);

        return is_bool($value) ? $value : throw $this->wrong($key, 'must be true or false');
    }

    public function integer(string $key, int $least, int $most): int
    {
        return $this->integerOrNull($key, $least, $most) ?? throw $this->wrong($key, 'must be a whole number');
    }

    public function integerOrNull(string $key, int $least, int $most): ?int
    {
        $value = $this->value($key);
        if ($value === null) {
            return null;
        }
        is_int($value) || throw $this->wrong($key, 'must be a whole number');

        return $value >= $least && $value <= $most ? $value : throw $this->wrong($key, "must be {$least} to {$most}, not {$value}");
    }

    /** Minutes since 1970-01-01T00:00Z. */
    public function moment(string $key): int
    {
        return $this->momentOrNull($key) ?? throw $this->wrong($key, 'must be a time, not null');
    }

    public function momentOrNull(string $key): ?int
    {
        $value = $this->value($key);
        if ($value === null) {
            return null;
        }
        is_string($value) || throw $this->wrong($key, 'must be a time');
        if (preg_match(self::RFC3339, $value, $part) !== 1 || ! checkdate((int) $part[2], (int) $part[3], (int) $part[1]) || $part[1] < '1971') {
            preg_match('/^.{0,40}/su', $value, $shown);
            throw $this->wrong($key, '"'.($shown[0] ?? '').'" is not an RFC 3339 time with offset on a whole minute');
        }
        $minutes = intdiv((int) gmmktime((int) $part[4], (int) $part[5], 0, (int) $part[2], (int) $part[3], (int) $part[1]), 60);
        $offset = 60 * (int) ($part[7] ?? 0) + (int) ($part[8] ?? 0);

        return ($part[6] ?? '+') === '-' ? $minutes + $offset : $minutes - $offset;
    }

    public function stringOrNull(string $key): ?string
    {
        return $this->has($key) ? $this->string($key) : null;
    }

    /** A local date, such as "2026-03-12". */
    public function date(string $key): LocalDay
    {
        try {
            return LocalDay::fromString($this->string($key));
        } catch (InvalidTime $error) {
            throw $this->wrong($key, $error->getMessage());
        }
    }

    /** @return list<LocalDay> */
    public function dates(string $key): array
    {
        try {
            return array_map(LocalDay::fromString(...), $this->strings($key));
        } catch (InvalidTime $error) {
            throw $this->wrong($key, $error->getMessage());
        }
    }

    /** @return list<array{string, string}> */
    public function clockPairs(string $key): array
    {
        $pairs = [];
        foreach ($this->list($key) as $pair) {
            if (! is_array($pair) || count($pair) !== 2 || ! is_string($pair[0] ?? null) || ! is_string($pair[1] ?? null)) {
                throw $this->wrong($key, 'must hold ["HH:MM", "HH:MM"] pairs');
            }
            $pairs[] = [$pair[0], $pair[1]];
        }

        return $pairs;
    }

    /** @return list<mixed> */
    private function list(string $key): array
    {
        $value = $this->value($key);

        return is_array($value) && array_is_list($value) ? $value : throw $this->wrong($key, 'must be a list');
    }

    private function value(string $key): mixed
    {
        return array_key_exists($key, $this->values) ? $this->values[$key] : throw $this->wrong($key, 'is missing');
    }

    private function wrong(string $key, string $what): InvalidProblem
    {
        return InvalidProblem::at("{$this->path}.{$key}", $what);
    }
}
