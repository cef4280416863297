<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Catch\CaughtLine;
use App\Models\TaskStage;
use App\Models\User;
use App\Time\Moments;
use App\Time\Zones;
use Carbon\CarbonImmutable;
use Nekto\Core\Capture\DurationReader;
use Nekto\Core\Capture\Kind;
use Nekto\Core\Capture\Outline;
use Nekto\Core\Capture\OutlineItem;
use Nekto\Core\Capture\When;

/** Reads check lists and plain lists of a Markdown text; a heading names the project of what follows. */
final readonly class MarkdownReader
{
    /** Behind a line that Nekto wrote: its key, how many letters of it are the title, and its stage. */
    private const OWN = '/\s*<!-- (?<key>nekto-[0-9a-f]{10}-\d+|\w+:[\w:#-]{1,190}) (?<letters>\d{1,3}) (?<stage>[a-z]+) -->\s*$/u';

    public function __construct(private User $user, private CarbonImmutable $now) {}

    /** @return \Generator<Draft|Problem> what cannot be read first within each part under a heading */
    public function read(string $text): \Generator
    {
        $caught = new CaughtLine($this->user, $this->now);
        $keys = new Keys(Format::Markdown);
        $project = null;
        $rows = $notes = [];
        $item = null;
        foreach (Lines::of($text) as $i => $row) {
            if (preg_match('/^#{1,6}\s+(.+?)\s*#*$/u', $row, $heading) === 1) {
                yield from $this->part($rows, $notes, $project, $caught, $keys);
                [$project, $rows, $notes, $item] = [mb_substr(trim($heading[1]), 0, 200), [], [], null];
            } elseif (preg_match('/^(\s*)(?:[-*+]|\d{1,3}[.)])\s+\S/u', $row, $indent) === 1) {
                $rows[$i + 1] = $row;
                $item = $indent[1] === '' ? $i + 1 : $item;
            } elseif ($item !== null && preg_match('/^\s+>\s?(.*)$/u', $row, $quoted) === 1) { // text of the item above
                $notes[$item][] = $quoted[1];
            } elseif (trim($row) !== '' && preg_match('/^\s*(?:---+|\*\*\*+|===+)\s*$/', $row) !== 1) {
                yield new Problem($i + 1, __('files.no_list_item', ['words' => mb_substr(trim($row), 0, 60)]));
            }
        }
        yield from $this->part($rows, $notes, $project, $caught, $keys);
    }

    /**
     * @param  array<int, string>  $rows  by their line in the file
     * @param  array<int, list<string>>  $notes  lines of text by the line of their item
     * @return \Generator<Draft>
     */
    private function part(array $rows, array $notes, ?string $project, CaughtLine $caught, Keys $keys): \Generator
    {
        $numbers = array_keys($rows);
        foreach (Outline::of(implode("\n", $rows)) as $item) {
            $line = $numbers[$item->line - 1] ?? $item->line;
            yield $this->draft($item, $line, implode("\n", $notes[$line] ?? []), $project, $caught, $keys);
        }
    }

    private function draft(OutlineItem $item, int $line, string $note, ?string $project, CaughtLine $caught, Keys $keys): Draft
    {
        $own = preg_match(self::OWN, $item->text, $mark) === 1;
        $text = $own ? mb_substr($item->text, 0, -mb_strlen($mark[0])) : $item->text;
        $letters = $own ? (int) $mark['letters'] : 0;
        // of a line that Nekto wrote the title is known, and all else is as it was written; of others only what is sure is read
        $read = $own ? $caught->understand('x '.trim(mb_substr($text, $letters))) : $caught->understand($text, ['on', 'at', 'start', 'repeat', 'until', 'part', 'waiting', 'demand', 'ask']);
        $title = $own ? trim(mb_substr($text, 0, $letters)) : $read->title;
        $due = $read->due();
        $moment = fn (?When $when): ?CarbonImmutable => $when?->day === null || $when->minuteOfDay === null ? null : Moments::moment(Zones::named($this->user->zone)->at($when->day, $when->minuteOfDay));
        preg_match_all('/(?<!\S)https?:\/\/\S+/i', $own ? mb_substr($text, $letters) : '', $links);

        return new Draft(
            line: $line,
            key: $own ? $mark['key'] : $keys->of($title, (string) $project),
            title: $title,
            done: $item->done,
            note: $note === '' ? null : $note,
            importance: $read->importance(),
            due: $moment($due) === null ? $due?->day?->asString() : null,
            dueAt: $moment($due),
            start: $read->start()?->day === null ? null : $moment(new When($read->start()->day, $read->start()->minuteOfDay ?? 0)),
            minutes: $read->minutes(),
            project: $read->name(Kind::Project) ?? $project,
            contexts: $read->contexts(),
            subtasks: array_map(static function (OutlineItem $one): array {
                [$title, $minutes] = DurationReader::apart($one->text);

                return ['title' => $title, 'estimate' => $minutes, 'done' => $one->done];
            }, $item->under),
            waitingFor: $own ? $read->name(Kind::Waiting) : null,
            link: $read->name(Kind::Link),
            rule: $own ? $read->repeat()?->rule : null,
            afterDone: $own ? $read->repeat()?->afterDone : null,
            links: $links[0],
            stage: $own ? TaskStage::tryFrom($mark['stage']) : null,
            demand: $own ? $read->demand() : null,
        );
    }
}
