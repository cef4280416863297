<?php

declare(strict_types=1);

namespace App\Undo;

use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\DB;

/**
 * Lets what carries a key happen once, however often it is sent. The key is written in the transaction of the change
 * itself: both are there, or neither, whenever the process dies.
 */
final class Once
{
    /** Days a key is known: longer than a browser keeps what waits to be sent. */
    public const DAYS = 30;

    private ?int $user = null;

    private ?string $key = null;

    private ?CarbonImmutable $now = null;

    private bool $isClaimed = false;

    public static function isKnown(User $user, string $key): bool
    {
        return self::row($user->id, $key)->exists();
    }

    /** What comes carries no key. */
    public function expectNone(): void
    {
        [$this->user, $this->key, $this->now, $this->isClaimed] = [null, null, null, false];
    }

    /** The change that comes carries this key. */
    public function expect(User $user, string $key, CarbonImmutable $now): void
    {
        [$this->user, $this->key, $this->now, $this->isClaimed] = [$user->id, $key, $now, false];
    }

    /**
     * Called first in the transaction of a change: whoever comes second waits for it there.
     *
     * @throws AlreadyDone if the key was used
     */
    public function claim(): void
    {
        if ($this->key === null || ($this->isClaimed && $this->isWritten())) { // what was only tried took the key back with it
            return;
        }
        try {
            DB::table('acts')->insert(['user_id' => $this->user, 'key' => $this->key, 'made_at' => $this->now]);
        } catch (UniqueConstraintViolationException) {
            throw new AlreadyDone;
        }
        $this->isClaimed = true;
    }

    /** The transaction was rolled back, and with it the key. */
    public function release(): void
    {
        $this->isClaimed = false;
    }

    /** Some of the keys that nothing can carry any more: a few thousand a minute. */
    public static function forgetOld(CarbonImmutable $now): void
    {
        DB::table('acts')->where('made_at', '<', $now->subDays(self::DAYS))->limit(5000)->delete();
    }

    private function isWritten(): bool
    {
        return self::row((int) $this->user, (string) $this->key)->exists();
    }

    private static function row(int $user, string $key): Builder
    {
        return DB::table('acts')->where('user_id', $user)->where('key', $key);
    }
}
