<?php

declare(strict_types=1);

namespace App\Meetings;

use App\ICalendar\Line;
use App\Models\Intake;
use Nekto\Core\Recurrence\Length;

/** What a calendar says of itself: its name, and how often it wishes to be looked at. */
final readonly class CalendarSays
{
    /** Minutes: no calendar is looked at less often, or more often. */
    private const SELDOM = 1440;

    public const OFTEN = 15;

    private function __construct(private ?string $name, private ?int $every) {}

    /** @param  array{says: array<string, string>}  $split  of the splitter */
    public static function of(array $split): self
    {
        $name = $split['says']['NAME'] ?? $split['says']['X-WR-CALNAME'] ?? '';
        $every = Length::read($split['says']['REFRESH-INTERVAL'] ?? $split['says']['X-PUBLISHED-TTL'] ?? '');
        $minutes = $every === null ? 0 : intdiv(86_400 * $every->days + $every->seconds, 60);

        return new self(
            mb_substr(trim((string) preg_replace('/[\p{C}\s]+/u', ' ', Line::read("NAME:{$name}")?->text() ?? '')), 0, 120) ?: null,
            $minutes > 0 ? max(self::OFTEN, min(self::SELDOM, $minutes)) : null,
        );
    }

    /** The name holds for a calendar whose person has given it none yet. */
    public function keep(Intake $intake): void
    {
        $calendar = $intake->calendar;
        if ($calendar === null) {
            return;
        }
        $calendar->every = $this->every;
        $this->name !== null && $calendar->named === false && $calendar->name = $this->name;
        $calendar->save();
    }
}
