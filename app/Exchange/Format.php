<?php

declare(strict_types=1);

namespace App\Exchange;

/** Formats in which tasks come in and go out. */
enum Format: string
{
    case TodoTxt = 'todotxt';
    case Csv = 'csv';
    case Markdown = 'markdown';
    case ICalendar = 'icalendar';
    case Mail = 'mail';

    /** Our own: everything, so that an account comes back. */
    case Own = 'nekto';

    /** By the file's name, and where that says nothing by its beginning. */
    public static function guess(string $name, string $text): self
    {
        return match (strtolower(pathinfo($name, PATHINFO_EXTENSION))) {
            'csv', 'tsv' => self::Csv,
            'md', 'markdown' => self::Markdown,
            'ics', 'ical', 'vcs' => self::ICalendar,
            'eml', 'mbox', 'mbx' => self::Mail,
            'jsonl' => self::Own,
            default => match (true) {
                str_starts_with(ltrim($text), 'BEGIN:VCALENDAR') => self::ICalendar,
                str_starts_with(ltrim($text), '{"is":"') => self::Own,
                preg_match('/^(?:From \S+|(?:From|Received|Return-Path|Delivered-To|MIME-Version|Message-ID|Subject|Date): )/i', ltrim($text)) === 1 => self::Mail,
                preg_match('/^\s*[-*+]\s+\[[ xX]\]\s/m', $text) === 1 => self::Markdown,
                default => self::TodoTxt,
            },
        };
    }

    /** What may be said of a task, as a page and a test go through it. */
    public const FIELDS = [
        'title', 'note', 'importance', 'demand', 'due', 'due_time', 'start', 'start_time', 'estimate', 'area', 'project', 'contexts', 'subtasks', 'subtask_minutes', 'repeat', 'after_done', 'waiting', 'links', 'stage', 'done',
        'ask', 'set_time', 'pick', 'push', 'part', 'section', 'history',
    ];

    private const NOWHERE = ['ask', 'set_time', 'pick', 'push', 'part', 'section', 'history'];

    /**
     * Of these, what a file of the format does not bring back: said before it is written.
     *
     * @return list<string>
     */
    public function loses(): array
    {
        return match ($this) {
            self::Own => [],
            self::ICalendar, self::Csv => self::NOWHERE,
            self::Markdown => ['area', ...self::NOWHERE],
            self::TodoTxt => ['note', 'area', 'subtasks', 'subtask_minutes', ...self::NOWHERE],
            self::Mail => array_values(array_diff(self::FIELDS, ['title', 'note'])),
        };
    }

    public function word(): string
    {
        return __("files.formats.{$this->value}");
    }

    public function fileName(): string
    {
        return 'nekto.'.['todotxt' => 'txt', 'csv' => 'csv', 'markdown' => 'md', 'icalendar' => 'ics', 'mail' => 'mbox', 'nekto' => 'jsonl'][$this->value];
    }

    public function mediaType(): string
    {
        return ['todotxt' => 'text/plain', 'csv' => 'text/csv', 'markdown' => 'text/markdown', 'icalendar' => 'text/calendar', 'mail' => 'application/mbox', 'nekto' => 'application/jsonl'][$this->value];
    }
}
