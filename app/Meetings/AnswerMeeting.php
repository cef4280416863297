<?php

declare(strict_types=1);

namespace App\Meetings;

use App\ICalendar\EventGroup;
use App\ICalendar\Facts;
use App\ICalendar\Line;
use App\Models\Answer;
use App\Models\Meeting;
use App\Models\Occurrence;
use App\Models\PlanRevision;
use App\Models\User;
use App\Planning\Replan;
use App\Post\PostMail;
use Carbon\CarbonImmutable;

/**
 * What the person answers to a meeting, or to one of its times: it counts here at once, and the organizer is written to as
 * RFC 5546 (3.2.3) and 6047 have it.
 */
final readonly class AnswerMeeting
{
    public function __construct(private Replan $replan, private PostMail $post) {}

    /** @param  bool  $whole  all times of the meeting, not this one alone */
    public function __invoke(User $user, Occurrence $occurrence, Answer $answer, bool $whole, CarbonImmutable $now): ?PlanRevision
    {
        $meeting = $occurrence->meeting;
        $instance = $whole ? '' : $occurrence->instance;
        $revision = $this->replan->after($user, $now, static function () use ($user, $meeting, $occurrence, $instance, $answer, $now): void {
            $draft = TakeEvents::read(TakeEvents::reader($user, $now), new EventGroup($meeting->uid, 0, $meeting->source));
            $source = array_values(array_filter($draft->occurrences, static fn (OccurrenceDraft $one): bool => $one->instance === $occurrence->instance))[0] ?? null;
            $instance === '' && $meeting->answers()->delete();
            $meeting->answers()->updateOrCreate(['instance' => $instance], ['user_id' => $user->id, 'answer' => $answer, 'instead_of' => $source?->answer, 'sequence' => $meeting->sequence, 'answered_at' => $now]);
            StoreMeeting::now($meeting, $draft, $now);
        });
        $this->write($user, $meeting, $occurrence, $instance, $answer, $now);

        return $revision;
    }

    private function write(User $user, Meeting $meeting, Occurrence $occurrence, string $instance, Answer $answer, CarbonImmutable $now): void
    {
        $words = __("meetings.reply.{$answer->value}");
        $when = $user->local($occurrence->starts_at)->format($occurrence->all_day ? 'l j F Y' : 'l j F Y, H:i');
        $this->post->reply(
            $user,
            (string) $meeting->organizer,
            "{$words}: {$meeting->summary}",
            __('meetings.reply.body', ['person' => $user->name, 'words' => lcfirst($words), 'title' => $meeting->summary, 'when' => $instance === '' && $occurrence->instance !== '' ? __('meetings.reply.all') : $when, 'zone' => $user->zone]),
            self::message($user, $meeting, $instance, $occurrence, $answer, $now),
            $now,
        );
    }

    private static function message(User $user, Meeting $meeting, string $instance, Occurrence $occurrence, Answer $answer, CarbonImmutable $now): string
    {
        preg_match('/^BEGIN:VEVENT\s*$(.*?)^END:VEVENT/msi', $meeting->source, $event);
        $kept = [];
        foreach (preg_split('/\r\n|\n/', $event[1] ?? '') ?: [] as $text) {
            $line = Line::read($text);
            if ($line === null) {
                continue;
            }
            $isOwn = $line->name === 'ATTENDEE' && array_intersect(Facts::addresses($line), $user->calendarAddresses()) !== [];
            match (true) {
                $isOwn => $kept['ATTENDEE'] ??= self::attendee($line, $user, $answer),
                $line->name === 'ORGANIZER' => $kept['ORGANIZER'] ??= $text,
                $line->name === 'SUMMARY' => $kept['SUMMARY'] ??= $text,
                default => null,
            };
        }
        $start = $occurrence->starts_at->utc();
        $moment = static fn (CarbonImmutable $at): string => $occurrence->all_day ? ';VALUE=DATE:'.$user->local($at)->format('Ymd') : ':'.$at->format('Ymd\THis\Z');
        $lines = [
            'BEGIN:VCALENDAR', 'PRODID:-//Nekto//EN', 'VERSION:2.0', 'METHOD:REPLY', 'BEGIN:VEVENT',
            'UID:'.$meeting->uid, 'SEQUENCE:'.$meeting->sequence, 'DTSTAMP:'.$now->utc()->format('Ymd\THis\Z'), 'DTSTART'.$moment($start),
            ...($instance === '' ? [] : ['RECURRENCE-ID'.$moment(CarbonImmutable::parse($instance, 'UTC'))]),
            ...array_values($kept), 'END:VEVENT', 'END:VCALENDAR', '',
        ];

        return implode("\r\n", array_map(self::folded(...), $lines));
    }

    private static function attendee(Line $line, User $user, Answer $answer): string
    {
        $name = str_replace(['"', "\r", "\n"], '', $user->name);
        $email = isset($line->parameters['EMAIL']) ? ';EMAIL="'.$line->parameters['EMAIL'].'"' : '';

        return "ATTENDEE;PARTSTAT={$answer->status()};CN=\"{$name}\"{$email}:{$line->value}";
    }

    /** Lines of at most 75 octets (RFC 5545, 3.1). */
    private static function folded(string $line): string
    {
        $rows = [];
        for ($most = 75; strlen($line) > $most; $most = 74) {
            $rows[] = $row = mb_strcut($line, 0, $most);
            $line = substr($line, strlen($row));
        }

        return implode("\r\n ", [...$rows, $line]);
    }
}
