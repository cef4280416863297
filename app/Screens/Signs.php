<?php

declare(strict_types=1);

namespace App\Screens;

use App\Wording\Figures;

/**
 * The small signs that stand dozens of times on a page, as markup. A Blade component for each costs a tenth of a
 * millisecond; in views they are the directives @icon, @spine and @pressure.
 */
final class Signs
{
    /** The few signs that words cannot replace, always beside a word or a figure: class, and the picture. */
    private const ICONS = [
        'anchor' => ['icon', 'width="13" height="14" viewBox="0 0 13 14" stroke-width="1.4" aria-hidden="true"><circle cx="6.5" cy="2.5" r="1.6"/><path d="M6.5 4.2v8.6M3.6 6h5.8M1 8.4c.4 2.8 2.6 4.4 5.5 4.4S11.600 11.200 12 8.400"/>'],
        'carried' => ['icon', 'width="13" height="12" viewBox="0 0 13 12" stroke-width="1.4" aria-hidden="true"><path d="M1 10C1 4.500 5.500 2.500 10 5.500M10.500 1.500v4.300H6.300"/>'],
        'to' => ['icon icon-to', 'width="20" height="9" viewBox="0 0 20 9" stroke-width="1.4" aria-hidden="true"><path d="M0 4.500h18M14.500 1l4 3.500-4 3.500"/>'],
        'before' => ['icon', 'width="12" height="9" viewBox="0 0 12 9" stroke-width="1.4" aria-hidden="true"><path d="M12 4.500H1M4.500 1L1 4.500 4.500 8"/>'],
        'after' => ['icon', 'width="12" height="9" viewBox="0 0 12 9" stroke-width="1.4" aria-hidden="true"><path d="M0 4.500h11M7.500 1L11 4.500 7.500 8"/>'],
        'typed' => ['icon', 'width="14" height="14" viewBox="0 0 14 14" stroke-width="1.2" aria-hidden="true"><path d="M3 8.500L9.500 2l2 2L5 10.500l-2.500.5zM2 13h9"/>'],
        'mail' => ['icon', 'width="14" height="14" viewBox="0 0 14 14" stroke-width="1.2" aria-hidden="true"><path d="M1.500 3h11v8h-11zM1.500 3.500L7 8l5.500-4.500"/>'],
        'file' => ['icon', 'width="14" height="14" viewBox="0 0 14 14" stroke-width="1.2" aria-hidden="true"><path d="M3 1.500h5l3 3v8H3zM8 1.500v3h3"/>'],
        'link' => ['icon', 'width="14" height="14" viewBox="0 0 14 14" stroke-width="1.2" aria-hidden="true"><path d="M6 8l-2.500 2.500a1.800 1.800 0 01-2.500-2.500L3.500 5.500A1.800 1.800 0 016 5.500M8 6l2.500-2.500A1.800 1.800 0 0113 6l-2.500 2.500A1.800 1.800 0 018 8.500"/>'],
        'meeting' => ['icon', 'width="14" height="14" viewBox="0 0 14 14" stroke-width="1.2" aria-hidden="true"><path d="M1.500 2.500h11v9h-11zM1.500 8l5.500-5.500M3 11.500l9.500-9M8.500 11.500l4-4"/>'],
    ];

    /** Nothing for a name that has no picture. */
    public static function icon(string $name): string
    {
        [$class, $picture] = self::ICONS[$name] ?? [null, null];

        return $class === null ? '' : "<svg class=\"{$class}\" {$picture}</svg>";
    }

    /**
     * Area by colour, importance by one to four notches.
     *
     * @param  int  $importance  0 where it is not weighed
     * @param  float  $height  pixels it stands beside
     */
    public static function spine(int $importance, float $height = 40, string $class = ''): string
    {
        $size = match (true) {
            $height < 26 => ' spine-tight',
            $height < 34 => ' spine-mid',
            default => '',
        };

        return '<span class="spine'.($importance > 0 ? " spine-{$importance}" : '').$size.($class === '' ? '' : ' '.e($class)).'" aria-hidden="true"></span>';
    }

    /** The rule under a title: how much must be done by its due date, in % of the open time until then. */
    public static function pressure(?int $percent): string
    {
        $step = match (true) {
            $percent === null, $percent <= 40 => '',
            $percent <= 70 => ' pressure-2',
            $percent <= 100 => ' pressure-3',
            default => ' pressure-4',
        };

        $words = Figures::pressure($percent);

        return $percent === null ? '' : "<span class=\"pressure{$step}\" title=\"pressure {$words}\" aria-hidden=\"true\"><i style=\"--p:{$percent}\"></i></span>";
    }
}
