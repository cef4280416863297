<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Models\User;

/** A task's name in files: the same each time it is written, and of no other account. Who reads the file back knows the task by it. */
final class TaskKey
{
    public static function of(User $user, int $task, ?string $origin = null): string
    {
        return $origin ?? self::prefix($user).$task;
    }

    /**
     * The ids of the account's own tasks among such names.
     *
     * @param  list<string>  $keys
     * @return array<string, int> by name
     */
    public static function own(User $user, array $keys): array
    {
        $prefix = self::prefix($user);
        $ids = [];
        foreach ($keys as $key) {
            if (str_starts_with($key, $prefix) && ctype_digit(substr($key, strlen($prefix)))) {
                $ids[$key] = (int) substr($key, strlen($prefix));
            }
        }

        return $ids;
    }

    private static function prefix(User $user): string
    {
        return 'nekto-'.substr(hash_hmac('sha256', "tasks of {$user->id}", (string) config('app.key')), 0, 10).'-';
    }
}
