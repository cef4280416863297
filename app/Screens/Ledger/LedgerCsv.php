<?php

declare(strict_types=1);

namespace App\Screens\Ledger;

/** The ledger's table as CSV (RFC 4180): minutes, and a line for each sum. */
final class LedgerCsv
{
    public static function of(LedgerPage $page): string
    {
        $lines = [[$page->by->value, 'part', 'planned minutes', 'actual minutes', 'difference', 'minutes of the period before', 'from', 'until']];
        $days = [$page->period->first->asString(), $page->period->last->asString()];
        $line = static fn (string $group, string $part, LedgerRow $row): array => [$group, $part, $row->planned, $row->actual, $row->differs(), $row->before, ...$days];
        foreach ($page->groups as $group) {
            foreach ($group->rows as $row) {
                $lines[] = $line($group->sum->name, $row->name, $row);
            }
            $lines[] = $line($group->sum->name, $group->rows === [] ? '' : __('ledger.all'), $group->sum);
        }
        foreach ($page->meetings as $row) {
            $lines[] = $line(__('ledger.meetings'), $row->name, $row);
        }
        $lines[] = $line(__('ledger.own_work'), __('ledger.all'), $page->sum);

        return implode('', array_map(self::line(...), $lines));
    }

    /** @param  list<string|int|null>  $fields */
    private static function line(array $fields): string
    {
        return implode(',', array_map(static function (string|int|null $field): string {
            $text = (string) $field;
            $text = is_string($field) && preg_match('/^[=+\-@\t\r]/', $text) === 1 ? "'{$text}" : $text; // no formula of a name

            return preg_match('/[",\r\n]/', $text) === 1 ? '"'.str_replace('"', '""', $text).'"' : $text;
        }, $fields))."\r\n";
    }
}
