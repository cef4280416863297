<?php

declare(strict_types=1);

namespace App\Meetings;

use App\ICalendar\EventGroup;
use App\ICalendar\UnreadableCalendar;
use App\Models\CalendarImport;
use App\Models\Meeting;
use App\Models\User;
use App\Planning\Mend;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

/** Takes the next events of an import in, by UID, so that taking the same file again changes nothing. */
final readonly class TakeEvents
{
    /** Events of one step: short enough to show progress, long enough to be quick. */
    private const BATCH = 250;

    /** Problems that are kept to be shown. */
    private const MOST_PROBLEMS = 200;

    public const DAYS_BACK = 60;

    public const DAYS_AHEAD = 400;

    public function __construct(private Mend $mend) {}

    /** One step; the import is finished afterwards if nothing was left. */
    public function step(CalendarImport $import, CarbonImmutable $now): void
    {
        $done = DB::transaction(function () use ($import, $now): bool {
            $fresh = CalendarImport::query()->lockForUpdate()->findOrFail($import->id); // two windows may both press on
            $import->setRawAttributes($fresh->getAttributes(), true);
            if ($import->finished_at !== null) {
                return false;
            }
            $groups = $this->groups($import);
            $this->take($import, $groups, $now);
            $import->taken += count($groups);
            if ($import->taken >= $import->total) {
                $import->finished_at = $now;
            }
            $import->save();

            return $import->finished_at !== null;
        });
        if ($done) {
            $import->path === null || Storage::disk('local')->delete($import->path);
            rescue(fn () => ($this->mend)($import->user, $now)); // meetings may lie on blocks now; that they are in does not hang on it
        }
    }

    public static function reader(User $user, CarbonImmutable $now): EventReader
    {
        return new EventReader(
            new \DateTimeZone($user->zone),
            $user->calendarAddresses(),
            $now->subDays(self::DAYS_BACK),
            $now->addDays(self::DAYS_AHEAD),
        );
    }

    /** Puts an event's occurrences in the place of those it had. */
    public static function store(Meeting $meeting, MeetingDraft $draft, CarbonImmutable $now): void
    {
        $meeting->summary = $draft->summary;
        $meeting->expanded_until = $draft->goesOn ? $now->addDays(self::DAYS_AHEAD) : null;
        $meeting->save();
        $meeting->occurrences()->delete();
        $rows = array_map(static fn (array $one): array => ['user_id' => $meeting->user_id, 'meeting_id' => $meeting->id, ...$one], $draft->occurrences);
        foreach (array_chunk($rows, 100) as $chunk) {
            DB::table('occurrences')->insert($chunk);
        }
    }

    /** @return list<EventGroup> */
    private function groups(CalendarImport $import): array
    {
        $lines = explode("\n", (string) Storage::disk('local')->get((string) $import->path));
        $groups = [];
        foreach (array_slice(array_filter($lines), $import->taken, self::BATCH) as $line) {
            /** @var array{string, int, string} $parts */
            $parts = json_decode($line, true, 8, JSON_THROW_ON_ERROR);
            $groups[] = new EventGroup(...$parts);
        }

        return $groups;
    }

    /** @param  list<EventGroup>  $groups */
    private function take(CalendarImport $import, array $groups, CarbonImmutable $now): void
    {
        $user = $import->user;
        $reader = self::reader($user, $now);
        $known = $user->meetings()->whereIn('uid', array_map(static fn (EventGroup $group): string => $group->uid, $groups))->get()->keyBy('uid');
        $problems = $import->problems;
        foreach ($groups as $group) {
            try {
                $draft = $reader->read($group);
            } catch (UnreadableCalendar $error) {
                if (count($problems) < self::MOST_PROBLEMS) {
                    $problems[] = ['line' => $group->line, 'what' => $error->getMessage()];
                }

                continue;
            }
            $meeting = $known[$group->uid] ?? $user->meetings()->make(['uid' => $group->uid]);
            if (! $meeting->exists) {
                $import->added++;
            } elseif ($meeting->source !== $group->text) {
                $import->changed++;
            } elseif ($meeting->expanded_until === null || $meeting->expanded_until->isSameDay($now->addDays(self::DAYS_AHEAD))) {
                continue;
            }
            $meeting->source = $group->text;
            self::store($meeting, $draft, $now);
        }
        $import->problems = $problems;
    }
}
