<?php

declare(strict_types=1);

namespace App\Screens\Shape;

use App\Models\PlanRevision;
use App\Models\User;
use App\Planning\Tried;
use App\Wording\ChangeNote;
use App\Wording\Times;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\View;
use Nekto\Core\Time\LocalDay;

/** What a drop would do, for the sheet to show while it is in the air: what gives way, the gauge as it would be. */
final readonly class DropPreview
{
    private const NAMED = 4;

    /**
     * @param  array<string, mixed>  $more  estimate: before and after
     * @return array{late: list<string>, moves: list<array{task: int, title: string, to: string}>, more: int, gauge: string, sum: string, line: string, over: bool, estimate: string|null}
     */
    public function of(User $user, LocalDay $day, Tried $tried, array $more, CarbonImmutable $now): array
    {
        $gauge = Gauge::of($tried->time, $day, $tried->blocks, collect(), $now, null, $tried->untimed);
        [$before, $after] = $more['estimate'] ?? [0, 0];

        return [
            ...self::words($user, $tried->revision, $now),
            'gauge' => View::make('components.gauge-column', ['gauge' => $gauge, 'chosen' => null, 'address' => '/shape/'.$day->asString()])->render(),
            'sum' => Times::duration($gauge->planned),
            'line' => Times::duration($gauge->load->loadLine),
            'over' => $gauge->over() > 0,
            'estimate' => $after > $before ? __('shape.estimate_grows', ['before' => Times::duration($before), 'after' => Times::duration($after)]) : null,
        ];
    }

    /**
     * What gives way, and what becomes late by it.
     *
     * @return array{late: list<string>, moves: list<array{task: int, title: string, to: string}>, more: int}
     */
    public static function words(User $user, ?PlanRevision $revision, CarbonImmutable $now): array
    {
        $note = new ChangeNote($user, $now);
        $lines = $revision === null ? [] : $note->lines($revision);

        return [
            'late' => $revision === null ? [] : array_values(array_filter([...$note->late($revision), $note->liesOn($revision)])),
            'moves' => array_map(static fn (array $line): array => ['task' => $line['task'], 'title' => $line['title'], 'to' => $line['to'] ?? __('shape.no_place')], array_slice($lines, 0, self::NAMED)),
            'more' => max(0, count($lines) - self::NAMED),
        ];
    }
}
