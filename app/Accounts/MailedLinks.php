<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\MailedLink;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Links in letters: each works once, for a while, and only the newest of its kind. */
final class MailedLinks
{
    public const RESET_MINUTES = 60;

    public const ADDRESS_MINUTES = 24 * 60;

    /** @return string what the letter's link carries */
    public static function make(User $user, string $kind, int $minutes, ?string $email = null): string
    {
        $token = Str::random(40);
        DB::transaction(static function () use ($user, $kind, $minutes, $email, $token): void {
            $user->mailedLinks()->where('kind', $kind)->delete();
            $user->mailedLinks()->create(['kind' => $kind, 'hash' => hash('sha256', $token), 'email' => $email, 'expires_at' => now()->addMinutes($minutes)]);
        });

        return $token;
    }

    /** Null if it never was one, was used, or is too old. */
    public static function find(string $kind, #[\SensitiveParameter] string $token): ?MailedLink
    {
        return MailedLink::query()->where('kind', $kind)->where('hash', hash('sha256', $token))->whereNull('used_at')->where('expires_at', '>', now())->with('user')->first();
    }

    /** True for one caller only. */
    public static function use(MailedLink $link): bool
    {
        return MailedLink::query()->whereKey($link->id)->whereNull('used_at')->update(['used_at' => now()]) === 1;
    }
}
