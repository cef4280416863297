<?php

declare(strict_types=1);

namespace App\Screens\Settings;

use App\Models\User;
use App\Planning\Foreseen;
use App\Time\Zones;
use App\Wording\ChangeNote;
use App\Wording\Times;
use Carbon\CarbonImmutable;

/** What a change of the rules would do, in a few sentences. */
final readonly class Consequence
{
    public function __construct(private User $user, private CarbonImmutable $now) {}

    /** @return list<string> the figures first, then what of the plan moves and what becomes late */
    public function of(Foreseen $foreseen): array
    {
        $words = [$this->figures($foreseen)];
        if ($foreseen->revision !== null && $foreseen->weekBefore !== $foreseen->weekAfter) {
            $words[] = __('settings.consequence.week', ['before' => Times::duration($foreseen->weekBefore), 'after' => Times::duration($foreseen->weekAfter)]);
        }
        $note = new ChangeNote($this->user, $this->now);
        $revision = $foreseen->revision;

        return $revision === null ? $words : [...$words, ...array_filter([$note->movesOnly($revision) ?: __('settings.consequence.nothing_moves'), ...$note->late($revision)])];
    }

    private function figures(Foreseen $foreseen): string
    {
        if ($foreseen->day === null || $foreseen->before === null || $foreseen->after === null) {
            return __('settings.consequence.no_figure');
        }
        $noon = Zones::named($this->user->zone)->at($foreseen->day, 720);
        $said = ['day' => Times::day($this->user, $noon, $this->now), 'hours' => $foreseen->hours, 'before' => Times::duration($foreseen->before->open), 'after' => Times::duration($foreseen->after->open), 'line' => Times::duration($foreseen->after->loadLine), 'from' => Times::duration($foreseen->before->loadLine)];

        return __($foreseen->before->open === $foreseen->after->open ? 'settings.consequence.line' : 'settings.consequence.open', $said);
    }
}
