<?php

declare(strict_types=1);

namespace App\Screens\Ledger;

use App\Goals\CycleEdit;
use App\Models\User;
use App\Wording\TypedDay;
use Nekto\Core\Ledger\Period;
use Nekto\Core\Time\InvalidTime;
use Nekto\Core\Time\LocalDay;

/** Periods that can be looked back upon, by the words of the address. */
final readonly class Periods
{
    /** Days of one of the person's own. */
    public const MOST = 1100;

    public const NAMES = ['week', 'last', 'four', 'month', 'quarter', 'cycle'];

    private const USUAL = 'four';

    /** @return array{string, Period} its key, and the days */
    public static function asked(?string $key, ?string $from, ?string $until, User $user, LocalDay $today): array
    {
        $own = self::own($from, $until, $user);
        if ($own !== null) {
            return ['own', $own];
        }
        $key = in_array($key, self::NAMES, true) ? (string) $key : self::USUAL;

        return [$key, self::named($key, $user, $today)];
    }

    private static function named(string $key, User $user, LocalDay $today): Period
    {
        $cycle = $key === 'cycle' ? CycleEdit::present($user)?->span() : null;

        return match ($key) {
            'week' => Period::week($today, $user->week_starts),
            'last' => Period::week($today, $user->week_starts, 1),
            'month' => Period::month($today),
            'quarter' => Period::quarter($today),
            'cycle' => $cycle === null ? Period::weeksBefore($today, 12, $user->week_starts) : new Period($cycle->first, $cycle->last()),
            default => Period::weeksBefore($today, 4, $user->week_starts),
        };
    }

    /** Days of the person's own, as they were typed; turned round where the first is the later one. */
    private static function own(?string $from, ?string $until, User $user): ?Period
    {
        $days = [];
        foreach ([$from, $until] as $text) {
            $text = trim((string) $text);
            try {
                $days[] = preg_match('/^\d{4}-\d{2}-\d{2}$/D', $text) === 1 ? LocalDay::fromString($text) : (($read = $text === '' || strlen($text) > 60 ? null : TypedDay::read($user, $text)) === null ? null : LocalDay::fromString($read));
            } catch (InvalidTime) {
                $days[] = null;
            }
        }
        [$first, $last] = [$days[0] ?? $days[1], $days[1] ?? $days[0]];
        if ($first === null || $last === null || $first->year() < 2000 || $last->year() > 2200) {
            return null;
        }
        [$first, $last] = $first->number > $last->number ? [$last, $first] : [$first, $last];

        return new Period($last->number - $first->number >= self::MOST ? $last->plusDays(1 - self::MOST) : $first, $last);
    }
}
