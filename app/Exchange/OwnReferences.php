<?php

declare(strict_types=1);

namespace App\Exchange;

/** Ids that stand within what is stored as one piece, to be written by name and read back. */
final class OwnReferences
{
    /** Columns of patterns and of a task's history, and the kind of row they name. */
    public const COLUMNS = ['area_id' => 'area', 'project_id' => 'project', 'section_id' => 'section', 'hours_set_id' => 'hours'];

    /**
     * A piece in which every value under a name is another one, however deep.
     *
     * @param  array<array-key, mixed>  $piece
     * @param  \Closure(mixed): (int|string|null)  $other
     * @return array<array-key, mixed>
     */
    public static function replaced(array $piece, string $name, \Closure $other): array
    {
        foreach ($piece as $key => $value) {
            $piece[$key] = match (true) {
                $key === $name && ! is_array($value) => $other($value),
                is_array($value) => self::replaced($value, $name, $other),
                default => $value,
            };
        }

        return $piece;
    }

    /**
     * The question of a view: "context:3" by the context's name, or back; conditions that name nothing are left out.
     *
     * @param  array<array-key, mixed>  $question
     * @param  \Closure(string, string): (int|string|null)  $other
     * @return array<array-key, mixed>
     */
    public static function conditions(array $question, \Closure $other): array
    {
        $conditions = [];
        foreach (is_array($question['conditions'] ?? null) ? $question['conditions'] : [] as $one) {
            if (is_array($one) && preg_match('/^(area|project|context):(.+)$/su', is_string($one['what'] ?? null) ? $one['what'] : '', $part) === 1 && $part[2] !== 'none') {
                $found = $other($part[1], $part[2]);
                if ($found === null) {
                    continue;
                }
                $one['what'] = "{$part[1]}:{$found}";
            }
            $conditions[] = $one;
        }

        return ['conditions' => $conditions] + $question;
    }

    /**
     * Why a block lies where it lies; what speaks of a row that is not there is left out.
     *
     * @param  array<array-key, mixed>  $reasons
     * @param  \Closure(string, string): (int|string|null)  $other
     * @return list<array<array-key, mixed>>
     */
    public static function reasons(array $reasons, \Closure $other): array
    {
        $known = [];
        foreach (array_filter($reasons, is_array(...)) as $reason) {
            foreach (['task', 'project', 'context'] as $kind) {
                if (isset($reason[$kind]) && is_scalar($reason[$kind])) {
                    $found = $other($kind, (string) $reason[$kind]);
                    if ($found === null) {
                        continue 2;
                    }
                    $reason[$kind] = (string) $found;
                }
            }
            $known[] = $reason;
        }

        return $known;
    }

    /**
     * What a line of history says of an area or a project.
     *
     * @param  array<array-key, mixed>  $facts
     * @param  \Closure(string, mixed): (int|string|null)  $other
     * @return array<array-key, mixed>
     */
    public static function facts(array $facts, string $what, \Closure $other): array
    {
        $kind = self::COLUMNS[$what] ?? null;

        return $kind === null ? $facts : array_map(static fn (mixed $value): int|string|null => $value === null ? null : $other($kind, $value), $facts);
    }
}
