<?php

declare(strict_types=1);

namespace App\Screens\Frame;

use Illuminate\Support\Facades\DB;

/** What is the same as long as nothing has changed that a screen of an account may show, and whether a reminder waits. */
final readonly class Pulse
{
    private function __construct(public string $mark, public bool $reminds) {}

    public static function of(int $account): self
    {
        $row = DB::selectOne('select count, exists (select 1 from reminders where user_id = ? and shown_at is null) as reminds from changes where user_id = ?', [$account, $account]);

        return new self((string) ($row->count ?? 0), (bool) ($row->reminds ?? false));
    }
}
