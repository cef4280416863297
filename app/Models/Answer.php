<?php

declare(strict_types=1);

namespace App\Models;

/** What somebody who was asked to a meeting says (PARTSTAT of RFC 5545, 3.2.12). */
enum Answer: string
{
    case Accepted = 'accepted';
    case Tentative = 'tentative';
    case Declined = 'declined';

    /** Not answered yet. */
    case Open = 'open';

    /** Another's word for it, as delegated, says nothing of the person's own time: null. */
    public static function ofStatus(string $partstat): ?self
    {
        return match (strtoupper($partstat)) {
            'ACCEPTED' => self::Accepted,
            'TENTATIVE' => self::Tentative,
            'DECLINED' => self::Declined,
            '', 'NEEDS-ACTION' => self::Open, // the standard's default
            default => null,
        };
    }

    public function status(): string
    {
        return $this === self::Open ? 'NEEDS-ACTION' : strtoupper($this->value);
    }

    /** True where it is not sure that the person will be there. */
    public function isUnsure(): bool
    {
        return $this === self::Tentative || $this === self::Open;
    }
}
