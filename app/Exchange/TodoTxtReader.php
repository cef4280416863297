<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Models\TaskStage;
use App\Models\User;
use App\Time\Moments;
use App\Time\Zones;
use Carbon\CarbonImmutable;
use Nekto\Core\Capture\Kind;
use Nekto\Core\Capture\LineParser;
use Nekto\Core\Capture\When;
use Nekto\Core\Task\Demand;
use Nekto\Core\Task\Importance;
use Nekto\Core\Time\LocalDay;

/** Reads lines of the open todo.txt format. */
final readonly class TodoTxtReader
{
    private const PRIORITY = ['A' => Importance::Vital, 'B' => Importance::High, 'C' => Importance::Medium];

    public function __construct(private User $user, private CarbonImmutable $now) {}

    /** @return \Generator<Draft|Problem> */
    public function read(string $text): \Generator
    {
        $local = $this->user->local($this->now);
        $parser = new LineParser(LocalDay::of(1971, 1, 1), 60 * $local->hour + $local->minute); // dates of the past are dates too
        $keys = new Keys(Format::TodoTxt);
        foreach (Lines::of($text) as $i => $row) {
            $row = trim($row);
            if ($row === '') {
                continue;
            }
            preg_match('/^(?<done>x\s+)?(?:\((?<priority>[A-Z])\)\s+)?(?<dates>(?:\d{4}-\d{2}-\d{2}\s+){0,2})(?<rest>.*)$/u', $row, $part);
            [$rest, $own] = OwnWords::apart($part['rest'] ?? $row);
            $line = $parser->signs($rest);
            [$title, $links] = self::links($line->title);
            $dates = preg_split('/\s+/', trim($part['dates'] ?? ''), -1, PREG_SPLIT_NO_EMPTY) ?: [];
            $caught = end($dates);
            foreach ($line->parts as $one) {
                if ($one->problem !== null) {
                    yield new Problem($i + 1, __('files.word_not_read', ['words' => mb_substr($line->text, $one->start, $one->length)]));
                }
            }
            $due = $line->due();
            $dueAt = self::moment($due, $this->user->zone);
            $start = $line->start();
            $priority = $part['priority'] ?? '';
            yield new Draft(
                line: $i + 1,
                key: $own['id'] ?? $keys->of($line->title, (string) $line->name(Kind::Project), $caught === false ? '' : $caught),
                title: $title,
                done: ($part['done'] ?? '') !== '',
                importance: $line->importance() ?? ($priority === '' ? null : (self::PRIORITY[$priority] ?? Importance::Low)),
                due: $dueAt === null ? $due?->day?->asString() : null,
                dueAt: $dueAt,
                start: $start?->day === null ? null : self::moment(new When($start->day, $start->minuteOfDay ?? 0), $this->user->zone),
                minutes: $line->minutes(),
                project: $line->name(Kind::Project),
                contexts: $line->contexts(),
                waitingFor: $line->name(Kind::Waiting),
                link: $line->name(Kind::Link),
                links: $links,
                rule: $own['rule'] ?? null,
                afterDone: $own['after_done'] ?? null,
                stage: TaskStage::tryFrom($own['stage'] ?? ''),
                demand: Demand::tryFrom($own['demand'] ?? ''),
                caughtAt: $caught === false ? null : CarbonImmutable::createFromFormat('Y-m-d H:i', "{$caught} 12:00", $this->user->zone)?->utc(),
            );
        }
    }

    /**
     * Further addresses of a line: its signs name the first.
     *
     * @return array{string, list<string>}
     */
    private static function links(string $title): array
    {
        preg_match_all('/(?<!\S)https?:\/\/\S+/i', $title, $found);
        $rest = trim((string) preg_replace('/\s+/u', ' ', (string) preg_replace('/(?<!\S)https?:\/\/\S+/i', '', $title)));

        return $rest === '' ? [$title, []] : [$rest, $found[0]];
    }

    private static function moment(?When $when, string $zone): ?CarbonImmutable
    {
        return $when?->day === null || $when->minuteOfDay === null ? null : Moments::moment(Zones::named($zone)->at($when->day, $when->minuteOfDay));
    }
}
