<?php

declare(strict_types=1);

namespace App\Edits;

use App\Models\Area;
use App\Models\Context;

/** An own order of rows. */
final class Positions
{
    /**
     * Moves one a place up.
     *
     * @param  array<int, Area|Context>  $rows  all, in their order
     */
    public static function up(array $rows, int $id): void
    {
        $rows = array_values($rows);
        foreach ($rows as $i => $row) {
            if ($row->id === $id && $i > 0) {
                [$rows[$i - 1], $rows[$i]] = [$rows[$i], $rows[$i - 1]];
            }
        }
        foreach ($rows as $position => $row) {
            $row->update(['position' => $position]);
        }
    }
}
