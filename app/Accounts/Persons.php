<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\User;
use Illuminate\Auth\EloquentUserProvider;
use Illuminate\Contracts\Auth\Authenticatable;

/**
 * Who a session belongs to: the account, as long as the session's sign-in goes on. It is one query: ending a sign-in works
 * at once, also on a request that is under way elsewhere and writes its session later.
 */
final class Persons extends EloquentUserProvider
{
    /** @param  mixed  $identifier */
    public function retrieveById($identifier): ?Authenticatable
    {
        return User::query()->whereKey($identifier)
            ->whereExists(static fn ($query) => $query->from('sign_ins')->whereColumn('user_id', 'users.id')->where('id', session(SigningIn::ROW))->whereNull('ended_at'))
            ->first();
    }

    /** Nobody is known by a cookie that outlives its session: a sign-in that stays is a session that stays. */
    public function retrieveByToken($identifier, #[\SensitiveParameter] $token): ?Authenticatable
    {
        return null;
    }
}
