<?php

declare(strict_types=1);

namespace App\Screens\Shape;

use App\Edits\CrunchWay;
use App\Planning\ProblemLoader;
use App\Planning\Prospects;
use App\Rows\Desk;
use App\Wording\Times;
use Carbon\CarbonImmutable;
use Nekto\Core\Prospect\Outcome;
use Nekto\Core\Prospect\WayOut;
use Nekto\Core\Prospect\WayOutKind;
use Nekto\Core\Prospect\WaysOut;

/** Ways out of the first crunch, each found by planning with it: what it is and how many tasks are late by it. */
final readonly class CrunchWays
{
    /**
     * @param  list<array{way: string, says: string, late: int}>  $ways  the cheapest of each kind
     * @param  int  $lateNow  tasks that are late if nothing changes and all is laid out anew
     */
    private function __construct(public array $ways, public int $lateNow) {}

    public static function of(Desk $desk, ProblemLoader $problems, CarbonImmutable $now): self
    {
        $user = $desk->user();
        $rows = $problems->read($user, $now);
        $loaded = $problems->problem($rows, afresh: true);
        $out = new WaysOut($loaded->problem, Prospects::plan($problems->problem($rows)->problem), $user->margin_percent);
        $ways = [];
        foreach ($out->all() as $way) {
            $about = $way->kind === WayOutKind::ExtraHours ? (int) $way->hours : (int) $way->task;
            $ways[] = [
                'way' => (new CrunchWay($way->kind, $about, $way->time->start ?? $way->amount, $way->time?->length() ?? 0))->asText(),
                'says' => self::says($desk, $way, (string) ($loaded->tasks[$about]?->shortTitle() ?? '')),
                'late' => self::late($way->then),
            ];
        }

        return new self($ways, self::late($out->now()));
    }

    private static function says(Desk $desk, WayOut $way, string $title): string
    {
        $user = $desk->user();

        return __("shape.crunch.{$way->kind->value}", [
            'title' => $title,
            'day' => $way->kind === WayOutKind::MoveDue ? Times::day($user, $way->amount - 1, $desk->now) : ($way->time === null ? '' : Times::day($user, $way->time->start, $desk->now)),
            'minutes' => Times::duration($way->time?->length() ?? $way->amount),
            'from' => $way->time === null ? '' : Times::clock($user, $way->time->start),
            'to' => $way->time === null ? '' : Times::clock($user, $way->time->end),
            'hours' => $way->kind === WayOutKind::ExtraHours ? (string) $desk->time()->sets->firstWhere('id', (int) $way->hours)?->name : '',
        ]);
    }

    private static function late(Outcome $outcome): int
    {
        return count($outcome->late);
    }
}
