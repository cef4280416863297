<?php

declare(strict_types=1);

namespace App\Meetings;

use App\Models\Answer;
use App\Models\GivenAnswer;
use App\Models\Meeting;
use Carbon\CarbonImmutable;

/** One time of a meeting, as its source tells of it. */
final readonly class OccurrenceDraft
{
    /**
     * @param  string  $startsAt  UTC, as rows have it
     * @param  string  $instance  the start that the series' rule gave it, likewise; empty: it is no instance of a series
     * @param  Answer|null  $answer  the owner's, as the source has it
     * @param  string  $stamp  when the source wrote it (DTSTAMP)
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
        private ?Answer $answer,
        private int $sequence,
        private string $stamp,
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

    /** What was answered here holds until it is asked anew (RFC 5546, 2.1.5), or was answered elsewhere since. */
    private function answered(?GivenAnswer $given): ?Answer
    {
        if ($given === null || $given->sequence < $this->sequence) {
            return $this->answer;
        }
        $written = preg_match('/^\d{8}T\d{6}Z$/', $this->stamp) === 1 ? CarbonImmutable::createFromFormat('Ymd\THis\Z', $this->stamp, 'UTC') : null;

        return $written !== null && $written > $given->answered_at && $this->answer !== null && $this->answer !== Answer::Open ? $this->answer : $given->answer;
    }
}
