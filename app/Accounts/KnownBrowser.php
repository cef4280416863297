<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\User;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cookie;

/**
 * Whose browser this was last: an encrypted cookie that lets nobody in. What was typed as a sign-in ended is given back to
 * nobody else, and strangers who try passwords elsewhere cannot keep its owner out.
 */
final class KnownBrowser
{
    private const DAYS = 90;

    public static function remember(User $user): void
    {
        Cookie::queue(self::name(), "{$user->id} ".self::mark($user->email), 60 * 24 * self::DAYS);
    }

    public static function account(Request $request): ?int
    {
        $id = strtok(self::value($request), ' ');

        return $id !== false && ctype_digit($id) ? (int) $id : null;
    }

    public static function isOf(Request $request, string $email): bool
    {
        return $email !== '' && str_ends_with(self::value($request), ' '.self::mark($email));
    }

    private static function value(Request $request): string
    {
        $value = $request->cookie(self::name());

        return is_string($value) ? $value : '';
    }

    private static function mark(string $email): string
    {
        return substr(hash('sha256', strtolower($email)), 0, 16);
    }

    private static function name(): string
    {
        return config('session.cookie').'_was';
    }
}
