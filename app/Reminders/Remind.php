<?php

declare(strict_types=1);

namespace App\Reminders;

use App\Models\Reminder;
use App\Models\User;
use App\Post\PostMail;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/** Reminds of what has come up, by mail too if the person wants that. What was said once is not said again. */
final readonly class Remind
{
    /** What nobody saw within this time has lost its point. */
    private const STALE_MINUTES = 60;

    /** A window that says nothing for so long is closed. */
    private const SILENT_SECONDS = 30;

    public function __construct(private Occasions $occasions, private PostMail $post) {}

    public function __invoke(User $user, CarbonImmutable $now): void
    {
        foreach ($this->occasions->of($user, $now) as $occasion) {
            DB::transaction(function () use ($user, $occasion, $now): void {
                $isNew = DB::table('reminders')->insertOrIgnore(['user_id' => $user->id, 'at' => $now, ...$occasion->columns()]) === 1;
                if ($isNew && $user->remind_mail) {
                    ($this->post)($user, $occasion->title, "{$occasion->body}\n\n".($occasion->link === null ? '' : "{$occasion->link}\n").url($occasion->address)."\n", $now);
                    $user->reminders()->where('key', $occasion->key)->update(['mailed_at' => $now]);
                }
            });
        }
    }

    /**
     * What a window is to show now. It is that window's until it says what it shows: a page that was left before the
     * answer came is given it again, and if it never asks again, another is.
     *
     * @param  list<string>  $held  keys of what the window shows or has put away
     * @return list<array{key: string, title: string, body: string, address: string, link: string|null}>
     */
    public function give(User $user, string $window, array $held, CarbonImmutable $now): array
    {
        $open = fn () => $user->reminders()->whereNull('shown_at');
        if ($open()->doesntExist()) {
            return [];
        }

        return DB::transaction(function () use ($user, $window, $held, $open, $now): array {
            $still = $this->still($user, $now);
            $open()->where(static fn ($query) => $query->whereIn('key', $held)->orWhereNotIn('key', $still)->orWhere('at', '<=', $now->subMinutes(self::STALE_MINUTES)))->update(['shown_at' => $now]);
            $mine = static fn () => $open()->where(static fn ($query) => $query->whereNull('given_to')->orWhere('given_to', $window)->orWhere('given_at', '<', $now->subSeconds(self::SILENT_SECONDS)));
            $mine()->update(['given_to' => $window, 'given_at' => $now]);

            return array_values($open()->where('given_to', $window)->orderBy('at')->get()->map(static fn (Reminder $one): array => $one->only(['key', 'title', 'body', 'address', 'link']))->all());
        });
    }

    /**
     * @param  list<string>  $held
     * @return list<string> those of what a window holds that are no occasion any more: done, begun, moved, answered, closed
     */
    public function settled(User $user, array $held, CarbonImmutable $now): array
    {
        $own = $user->reminders()->whereIn('key', $held)->pluck('key')->all();

        return $own === [] ? [] : array_values(array_diff($own, $this->still($user, $now)));
    }

    /** @return list<string> keys of what there is to be reminded of */
    private function still(User $user, CarbonImmutable $now): array
    {
        return array_map(static fn (Occasion $occasion): string => $occasion->key, $this->occasions->of($user, $now));
    }
}
