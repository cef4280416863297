<?php

declare(strict_types=1);

namespace App\Screens\Frame;

use App\Time\Heartbeat;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/** What is the same as long as nothing has changed that a screen of an account may show, and whether a reminder waits. */
final readonly class Pulse
{
    private function __construct(public string $mark, public bool $reminds, private ?string $lookedAfter, private ?string $wakes) {}

    public static function of(int $account): self
    {
        $row = DB::selectOne('select count, looked_after_at, case when looked_count = count then wakes_at end as wakes, exists (select 1 from reminders where user_id = users.id and shown_at is null) as reminds from users join changes on changes.user_id = users.id where users.id = ?', [$account]);

        return new self((string) ($row->count ?? 0), (bool) ($row->reminds ?? false), $row->looked_after_at ?? null, $row->wakes ?? null);
    }

    /** The worker has done this minute's work for the account, or there is none. */
    public function isLookedAfter(CarbonImmutable $now): bool
    {
        return Heartbeat::isDone($this->lookedAfter, $now) || ($this->wakes !== null && $this->wakes > $now->toDateTimeString());
    }
}
