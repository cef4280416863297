<?php

declare(strict_types=1);

namespace App\Meetings;

use App\Models\Answer;
use App\Models\GivenAnswer;
use App\Models\Meeting;

/** One time of a meeting, as its source tells of it. */
final readonly class OccurrenceDraft
{
    /**
     * @param  string  $startsAt  UTC, as rows have it
     * @param  string  $instance  the start that the series' rule gave it, likewise; empty: it is no instance of a series
     * @param  Answer|null  $answer  the owner's, as the source has it
     */
    public function __construct(
        public string $summary,
        public ?string $place,
        public string $startsAt,
        public string $endsAt,
        public bool $isDay,
        public bool $isBusy,
        public string $instance,
        private bool $isTentative,
        private bool $isPrivate,
        private ?string $link,
        public ?Answer $answer,
        private int $sequence,
    ) {}

    /**
     * @param  array<string, GivenAnswer>  $given  what the person answered here, by instance
     * @return array<string, mixed> columns of occurrences
     */
    public function columns(Meeting $meeting, array $given): array
    {
        $answer = $this->answered($given[$this->instance] ?? $given[''] ?? null);

        return [
            'user_id' => $meeting->user_id, 'meeting_id' => $meeting->id, 'summary' => $this->summary, 'place' => $this->place, 'starts_at' => $this->startsAt, 'ends_at' => $this->endsAt,
            'all_day' => $this->isDay, 'busy' => $this->isBusy, 'instance' => $this->instance, 'tentative' => $this->isTentative || $answer?->isUnsure() === true,
            'private' => $this->isPrivate, 'answer' => $answer?->value, 'link' => $this->link,
        ];
    }

    /** What was answered here holds until it is asked anew (RFC 5546, 2.1.5), or its source says another answer than it did then. */
    private function answered(?GivenAnswer $given): ?Answer
    {
        return $given === null || $given->sequence < $this->sequence || ($this->answer !== $given->instead_of && $this->answer !== Answer::Open) ? $this->answer : $given->answer;
    }
}
