<?php

declare(strict_types=1);

namespace App\Meetings;

use App\Models\Calendar;
use App\Models\Meeting;

/** What of a calendar was not in what came last. What the person has brought back since stays. */
final class Gone
{
    /**
     * @param  iterable<string>  $seen  UIDs of all that came
     * @return list<int> ids of meetings
     */
    public static function of(Calendar $calendar, iterable $seen): array
    {
        $there = [];
        foreach ($seen as $uid) {
            $there[md5($uid, true)] = true; // a quarter of a long UID: there may be a hundred thousand
        }
        $gone = [];
        $calendar->meetings()->whereNull('gone_at')->where('missing', false)->select(['id', 'uid'])->toBase()->orderBy('id')->chunkById(1000, static function ($rows) use ($there, &$gone): void {
            foreach ($rows as $row) {
                isset($there[md5((string) $row->uid, true)]) || $gone[] = (int) $row->id;
            }
        });

        return $gone;
    }

    /**
     * To be called within a change that is recorded.
     *
     * @param  list<int>  $ids
     */
    public static function mark(array $ids, \Carbon\CarbonImmutable $now): void
    {
        foreach (array_chunk($ids, 500) as $some) {
            Meeting::query()->whereKey($some)->update(['gone_at' => $now, 'missing' => true]);
        }
    }
}
