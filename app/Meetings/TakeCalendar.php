<?php

declare(strict_types=1);

namespace App\Meetings;

use App\ICalendar\CalendarSplitter;
use App\ICalendar\EventGroup;
use App\ICalendar\UnreadableCalendar;
use App\Models\CalendarImport;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;

/** Begins to take a calendar file in: cuts it into its events and puts them aside for TakeEvents. */
final readonly class TakeCalendar
{
    /** @throws UnreadableCalendar if it is no calendar, or has no event */
    public function __invoke(User $user, UploadedFile $file, CarbonImmutable $now): CalendarImport
    {
        $split = (new CalendarSplitter(new \DateTimeZone($user->zone), 'VEVENT'))->split((string) $file->get());
        $split['components'] === [] && $split['problems'] === [] && throw new UnreadableCalendar(__('meetings.no_events'));
        $lines = array_map(static fn (EventGroup $group): string => json_encode(
            [$group->uid, $group->line, $group->text],
            JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE,
        ), EventGroup::of($split['components']));
        $path = 'imports/'.bin2hex(random_bytes(16)).'.jsonl';
        Storage::disk('local')->put($path, implode("\n", $lines));

        return $user->calendarImports()->create([
            'file_name' => mb_substr($file->getClientOriginalName(), 0, 200),
            'path' => $path,
            'total' => count($lines),
            'problems' => $split['problems'],
        ]);
    }
}
