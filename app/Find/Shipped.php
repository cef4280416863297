<?php

declare(strict_types=1);

namespace App\Find;

/** Views that everyone has. */
final class Shipped
{
    /** Conditions ("!" for not, "|" begins a further group), grouping, order; by address. */
    private const VIEWS = [
        'cannot-wait' => [['due:tomorrow', '|due:overdue', '|push:urgent'], 'none', ['pull']],
        'under-15-minutes' => [['estimate:15', '!start:later'], 'context', ['context', 'estimate']],
        'ask-again' => [['ask:due'], 'none', ['due']],
        'parts-of-the-day' => [['stage:open', '!start:later'], 'part', ['pull']],
        'without-routines' => [['stage:open', '!repeats:yes'], 'area', ['area', 'pull']],
        'no-date' => [['due:none', 'stage:open'], 'area', ['pull']],
        'someday' => [['stage:someday'], 'area', ['oldest']],
        'notes' => [['stage:reference'], 'project', ['title']],
        'let-go' => [['let_go:yes'], 'none', ['newest']],
        'done' => [['done:yes'], 'project', ['newest']],
    ];

    /** @return array<string, string> names by address */
    public static function names(): array
    {
        return array_intersect_key((array) __('find.shipped'), self::VIEWS);
    }

    public static function question(string $address): ?Question
    {
        if (! isset(self::VIEWS[$address])) {
            return null;
        }
        [$conditions, $group, $order] = self::VIEWS[$address];

        return Question::of(['group' => $group, 'order' => $order, 'conditions' => array_map(static fn (string $one): array => [
            'join' => str_starts_with($one, '|') ? 'or' : 'and', 'not' => str_contains($one, '!'), 'what' => ltrim($one, '|!'),
        ], $conditions)]);
    }
}
