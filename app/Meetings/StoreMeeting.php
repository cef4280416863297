<?php

declare(strict_types=1);

namespace App\Meetings;

use App\Models\Meeting;
use App\Models\MeetingNote;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/**
 * Brings a meeting's times to what its source says. A time that is known stays the same row, wherever it was moved to: its
 * page and what was written down for it stay with it.
 */
final readonly class StoreMeeting
{
    /** Days that a time may have been moved by and still be known as the same, where nothing else tells. */
    private const NEAR_DAYS = 3;

    public static function now(Meeting $meeting, MeetingDraft $draft, CarbonImmutable $now): void
    {
        $meeting->fill([
            'summary' => $draft->summary, 'organizer' => $draft->organizer === null ? null : mb_substr($draft->organizer, 0, 320), 'sequence' => $draft->sequence, 'invited' => $draft->invited,
            'expanded_until' => $draft->goesOn ? $now->addDays(TakeEvents::DAYS_AHEAD) : null, 'gone_at' => null, 'missing' => false,
        ]);
        $isKnown = $meeting->exists;
        $meeting->save();
        $given = $isKnown ? $meeting->answers()->get()->keyBy('instance')->all() : [];
        $rows = array_map(static fn (OccurrenceDraft $one): array => $one->columns($meeting, $given), $draft->occurrences);
        $isKnown ? self::change($meeting, $rows, $now) : self::insert($rows);
    }

    /**
     * One statement, prepared once: a calendar may have hundreds of thousands of times.
     *
     * @param  list<array<string, mixed>>  $rows
     */
    private static function insert(array $rows): void
    {
        if ($rows === []) {
            return;
        }
        $columns = array_keys($rows[0]);
        $statement = DB::connection()->getPdo()->prepare('insert into occurrences ('.implode(', ', $columns).') values ('.implode(', ', array_fill(0, count($columns), '?')).')');
        foreach ($rows as $row) {
            $statement->execute(array_map(static fn (mixed $value): mixed => is_bool($value) ? (int) $value : $value, array_values($row)));
        }
    }

    /**
     * What lies before the window that is read is history, and stays.
     *
     * @param  list<array<string, mixed>>  $rows
     */
    private static function change(Meeting $meeting, array $rows, CarbonImmutable $now): void
    {
        $known = DB::table('occurrences')->where('meeting_id', $meeting->id)->where('ends_at', '>', $now->subDays(TakeEvents::DAYS_BACK)->toDateTimeString())->orderBy('starts_at')->get()->map(static fn (object $row): array => (array) $row)->all();
        $pairs = self::pairs($known, $rows);
        $notes = MeetingNote::query()->where('meeting_id', $meeting->id)->get()->keyBy(static fn (MeetingNote $note): string => (string) $note->getAttributes()['starts_at'])->all();
        $new = $rows;
        $moved = [];
        foreach ($known as $i => $row) {
            if (! isset($pairs[$i])) {
                DB::table('occurrences')->where('id', $row['id'])->delete();

                continue;
            }
            $to = $rows[$pairs[$i]];
            unset($new[$pairs[$i]]);
            $changed = array_filter($to, static fn (mixed $value, string $column): bool => $row[$column] !== (is_bool($value) ? (int) $value : $value), ARRAY_FILTER_USE_BOTH);
            $changed === [] || DB::table('occurrences')->where('id', $row['id'])->update($changed);
            $moved[(string) $row['starts_at']] = (string) $to['starts_at'];
        }
        self::insert(array_values($new));
        self::follow($notes, $moved, array_map(strval(...), array_column($rows, 'starts_at')));
    }

    /**
     * Which of the rows is which of the times: by the instance it is, or else the one of its day.
     *
     * @param  array<int, array<string, mixed>>  $known
     * @param  list<array<string, mixed>>  $rows
     * @return array<int, int> places of rows by place among the known
     */
    private static function pairs(array $known, array $rows): array
    {
        $pairs = [];
        foreach ([static fn (array $row): string => (string) $row['instance'], static fn (array $row): string => substr((string) $row['starts_at'], 0, 10)] as $key) {
            $free = [];
            foreach (array_diff_key($rows, array_flip($pairs)) as $at => $row) {
                $free[$key($row)] ??= $at;
            }
            foreach (array_diff_key($known, $pairs) as $i => $row) {
                if (isset($free[$key($row)])) {
                    $pairs[$i] = $free[$key($row)];
                    unset($free[$key($row)]);
                }
            }
        }

        return $pairs;
    }

    /**
     * What was written down goes with its time; where that is no more, to one near it that has nothing written yet.
     *
     * @param  array<string, MeetingNote>  $notes  by their time
     * @param  array<string, string>  $moved  where each known time is now
     * @param  list<string>  $times
     */
    private static function follow(array $notes, array $moved, array $times): void
    {
        $places = [];
        foreach ($notes as $at => $note) {
            $places[$at] = $moved[$at] ?? self::nearest($at, array_diff($times, $places, array_keys($notes))) ?? $at;
        }
        foreach ($notes as $at => $note) { // first all away, then each to its place: two may change places
            $places[$at] === $at || MeetingNote::query()->whereKey($note->id)->update(['starts_at' => "-{$note->id}"]);
        }
        foreach ($notes as $at => $note) {
            $places[$at] === $at || MeetingNote::query()->whereKey($note->id)->update(['starts_at' => $places[$at]]);
        }
    }

    /** @param  array<string>  $times */
    private static function nearest(string $at, array $times): ?string
    {
        $near = null;
        $least = 86_400 * self::NEAR_DAYS;
        foreach ($times as $time) {
            $away = abs((int) strtotime("{$time} UTC") - (int) strtotime("{$at} UTC"));
            if ($away <= $least) {
                [$near, $least] = [$time, $away];
            }
        }

        return $near;
    }
}
