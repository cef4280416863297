<?php

declare(strict_types=1);

namespace App\Edits;

use Nekto\Core\Prospect\WayOutKind;

/** A way out of a crunch, as a page carries it until it is taken: "cut:12:30", "extra_hours:2:29553660:45". */
final readonly class CrunchWay
{
    /** More of either nobody asks for. */
    private const MOST_MINUTES = 1440;

    /**
     * @param  int  $about  a task's id; of extra hours the set's
     * @param  int  $amount  moved: the new due moment; cut: minutes taken off; dropped: its minutes; extra hours: where they begin
     * @param  int  $minutes  of extra hours
     */
    public function __construct(public WayOutKind $kind, public int $about, public int $amount, public int $minutes = 0) {}

    /** Null if it is none. */
    public static function read(string $text): ?self
    {
        if (preg_match('/^([a-z_]{3,12}):(\d{1,12}):(\d{1,9})(?::(\d{1,4}))?$/D', $text, $parts) !== 1) {
            return null;
        }
        $kind = WayOutKind::tryFrom($parts[1]);
        $minutes = (int) ($parts[4] ?? 0);
        $isShort = match ($kind) {
            WayOutKind::Cut => (int) $parts[3] <= self::MOST_MINUTES,
            WayOutKind::ExtraHours => $minutes >= 1 && $minutes <= self::MOST_MINUTES,
            default => true,
        };

        return $kind === null || ! $isShort ? null : new self($kind, (int) $parts[2], (int) $parts[3], $minutes);
    }

    public function asText(): string
    {
        return "{$this->kind->value}:{$this->about}:{$this->amount}".($this->minutes > 0 ? ":{$this->minutes}" : '');
    }
}
