<?php

declare(strict_types=1);

namespace App\Report;

/** A report as it was put together: sections with their lines, to be written as Markdown or as plain text. */
final readonly class ReportText
{
    /** @param  array<string, list<string>>  $sections  lines by heading; empty ones say so */
    public function __construct(public string $title, public array $sections, public int $hidden) {}

    public function markdown(): string
    {
        $text = "# {$this->title}\n";
        foreach ($this->sections as $heading => $lines) {
            $text .= "\n## {$heading}\n\n".($lines === [] ? __('report.none')."\n" : implode('', array_map(static fn (string $line): string => '- '.self::escaped($line)."\n", $lines)));
        }

        return $text;
    }

    public function plain(): string
    {
        $text = "{$this->title}\n";
        foreach ($this->sections as $heading => $lines) {
            $text .= "\n".mb_strtoupper($heading)."\n".($lines === [] ? '  '.__('report.none')."\n" : implode('', array_map(static fn (string $line): string => "  - {$line}\n", $lines)));
        }

        return $text;
    }

    /** A title is text: no sign in it makes a heading, a link or a list. */
    private static function escaped(string $line): string
    {
        return (string) preg_replace('/([\\\\`*_\[\]<>#|])/u', '\\\\$1', $line);
    }
}
