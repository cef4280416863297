<?php

declare(strict_types=1);

namespace App\Calendars;

use App\ICalendar\UnreadableCalendar;
use App\Intake\Parts;
use App\Intake\Steps;
use App\Meetings\NeverComesRound;
use App\Meetings\TakeMessage;
use App\Models\Intake;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\Storage;

/** Takes a message about a meeting that was brought in as a file, as a mail program keeps it. */
final readonly class TakeMessageFile implements Steps
{
    public function __construct(private TakeMessage $messages) {}

    public function cut(Intake $intake, CarbonImmutable $now): void
    {
        $text = (string) Storage::get((string) $intake->path);
        strlen($text) <= TakeMessage::LARGEST || throw new UnreadableCalendar(__('meetings.message_too_large'));
        Parts::write($intake, [base64_encode($text)]);
    }

    public function take(Intake $intake, CarbonImmutable $now): void
    {
        foreach (Parts::next($intake, 1) as $text) {
            try {
                $meeting = ($this->messages)($intake->user, (string) base64_decode($text), static fn () => Calendars::here($intake->user), $now);
            } catch (NeverComesRound $error) {
                throw new UnreadableCalendar($error->getMessage(), previous: $error);
            }
            $meeting === null ? $intake->note(1, __('meetings.message_nothing')) : $intake->added++;
            $intake->save();
        }
    }

    public function finished(Intake $intake, CarbonImmutable $now): void {}

    public function aside(Intake $intake, string $why, CarbonImmutable $now): void {}
}
