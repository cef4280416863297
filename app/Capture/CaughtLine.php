<?php

declare(strict_types=1);

namespace App\Capture;

use App\Models\Area;
use App\Models\Task;
use App\Models\User;
use App\Planning\RowMapper;
use App\Planning\Zones;
use Carbon\CarbonImmutable;
use Nekto\Core\Capture\Kind;
use Nekto\Core\Capture\Line;
use Nekto\Core\Capture\LineParser;
use Nekto\Core\Time\LocalDay;

/** Turns typed lines into inbox items. */
final readonly class CaughtLine
{
    private const TITLE = 200;

    private LineParser $parser;

    public function __construct(private User $user, CarbonImmutable $now)
    {
        $local = $user->local($now);
        $this->parser = new LineParser(LocalDay::fromString($local->format('Y-m-d')), 60 * $local->hour + $local->minute);
    }

    /** @param  list<Kind>  $refused */
    public function understand(string $text, array $refused = []): Line
    {
        return $this->parser->parse($text, $refused);
    }

    /** @param  list<Kind>  $refused */
    public function keep(string $text, array $refused, Area $area): Task
    {
        $line = $this->understand($text, $refused);
        $due = $line->due();
        $at = $due?->minuteOfDay === null ? null : Zones::named($this->user->zone)->at($due->day, $due->minuteOfDay);

        return $this->user->tasks()->create([
            'area_id' => $area->id,
            'title' => mb_substr($line->title, 0, self::TITLE),
            'note' => mb_strlen($line->title) > self::TITLE ? $line->text : null,
            'typed' => $line->text,
            'importance' => $line->importance(),
            'estimate' => $line->minutes(),
            'minutes_left' => $line->minutes(),
            'due_on' => $at === null ? $due?->day->asString() : null,
            'due_at' => $at === null ? null : RowMapper::moment($at),
        ]);
    }
}
