<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Catch\CaughtLine;
use App\Models\User;
use Carbon\CarbonImmutable;
use Nekto\Core\Capture\Kind;
use Nekto\Core\Capture\Outline;
use Nekto\Core\Capture\OutlineItem;

/** Reads check lists and plain lists of a Markdown text; a heading names the project of what follows. */
final readonly class MarkdownReader
{
    public function __construct(private User $user, private CarbonImmutable $now) {}

    /** @return \Generator<Draft|Problem> what cannot be read first within each part under a heading */
    public function read(string $text): \Generator
    {
        $caught = new CaughtLine($this->user, $this->now);
        $keys = new Keys(Format::Markdown);
        $project = null;
        $rows = [];
        foreach (Lines::of($text) as $i => $row) {
            if (preg_match('/^#{1,6}\s+(.+?)\s*#*$/u', $row, $heading) === 1) {
                yield from $this->part($rows, $project, $caught, $keys);
                [$project, $rows] = [mb_substr(trim($heading[1]), 0, 200), []];
            } elseif (preg_match('/^\s*(?:[-*+]|\d{1,3}[.)])\s+\S/u', $row) === 1) {
                $rows[$i + 1] = $row;
            } elseif (trim($row) !== '' && preg_match('/^\s*(?:---+|\*\*\*+|===+)\s*$/', $row) !== 1) {
                yield new Problem($i + 1, __('files.no_list_item', ['words' => mb_substr(trim($row), 0, 60)]));
            }
        }
        yield from $this->part($rows, $project, $caught, $keys);
    }

    /**
     * @param  array<int, string>  $rows  by their line in the file
     * @return \Generator<Draft>
     */
    private function part(array $rows, ?string $project, CaughtLine $caught, Keys $keys): \Generator
    {
        $numbers = array_keys($rows);
        foreach (Outline::of(implode("\n", $rows)) as $item) {
            yield $this->draft($item, $numbers[$item->line - 1] ?? $item->line, $project, $caught, $keys);
        }
    }

    private function draft(OutlineItem $item, int $line, ?string $project, CaughtLine $caught, Keys $keys): Draft
    {
        $read = $caught->understand($item->text, ['on', 'at', 'start', 'repeat', 'until', 'part', 'waiting', 'demand']);
        $due = $read->due();

        return new Draft(
            line: $line,
            key: $keys->of($read->title, (string) $project),
            title: $read->title,
            done: $item->done,
            importance: $read->importance(),
            due: $due?->day?->asString(),
            minutes: $read->minutes(),
            project: $read->name(Kind::Project) ?? $project,
            contexts: $read->contexts(),
            subtasks: array_map(static function (OutlineItem $one) use ($caught): array {
                $sub = $caught->understand($one->text);

                return ['title' => $sub->title, 'estimate' => $sub->minutes(), 'done' => $one->done];
            }, $item->under),
            link: $read->name(Kind::Link),
        );
    }
}
