<?php

declare(strict_types=1);

namespace App\Screens\Meetings;

use App\Models\Occurrence;

/** A meeting in the list, with its tape; places on it in hundredths of its width. */
final readonly class MeetingRow
{
    /**
     * @param  string  $when  "10:00–11:30" or "all day"
     * @param  array{float, float}|null  $piece  left and width on the tape; null: it is not on it
     * @param  array{float, float}|null  $gap  of the time kept free before it
     * @param  int  $before  minutes kept free before it
     * @param  string  $answer  in words; empty: nobody asks
     * @param  bool  $isAsked  it can be answered
     * @param  bool  $isOpen  and is not yet
     * @param  list<array{id: int, title: string}>  $prepared  tasks made to prepare it
     * @param  list<array{id: int, title: string}>  $followed  tasks made to follow it
     */
    public function __construct(
        public Occurrence $occurrence,
        public string $when,
        public ?array $piece,
        public ?array $gap,
        public int $before,
        public string $answer,
        public bool $isAsked,
        public bool $isOpen,
        public bool $isPast,
        public bool $isChosen,
        public array $prepared,
        public array $followed,
    ) {}
}
