<?php

declare(strict_types=1);

namespace App\Reminders;

use App\Models\Reminder;
use App\Models\User;
use App\Outbox\PostMail;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/** Reminds of what has come up, by mail too if the person wants that. What was said once is not said again. */
final readonly class Remind
{
    /** What nobody saw within this time has lost its point. */
    private const STALE_MINUTES = 60;

    public function __construct(private Occasions $occasions, private PostMail $post) {}

    public function __invoke(User $user, CarbonImmutable $now): void
    {
        foreach ($this->occasions->of($user, $now) as $occasion) {
            DB::transaction(function () use ($user, $occasion, $now): void {
                $isNew = DB::table('reminders')->insertOrIgnore(['user_id' => $user->id, 'at' => $now, ...$occasion->columns()]) === 1;
                if ($isNew && $user->remind_mail) {
                    ($this->post)($user, $occasion->title, "{$occasion->body}\n\n".url($occasion->address)."\n", $now);
                    $user->reminders()->where('key', $occasion->key)->update(['mailed_at' => $now]);
                }
            });
        }
    }

    /**
     * What a window is to show now; no other window is given it again.
     *
     * @return list<array{key: string, title: string, body: string, address: string}>
     */
    public function take(User $user, CarbonImmutable $now): array
    {
        if ($user->reminders()->whereNull('shown_at')->doesntExist()) {
            return [];
        }

        return DB::transaction(function () use ($user, $now): array {
            $still = array_map(static fn (Occasion $occasion): string => $occasion->key, $this->occasions->of($user, $now));
            $shown = $user->reminders()->whereNull('shown_at')->orderBy('at')->get();
            $user->reminders()->whereNull('shown_at')->update(['shown_at' => $now]);

            return array_values($shown->filter(static fn (Reminder $one): bool => $one->at > $now->subMinutes(self::STALE_MINUTES) && in_array($one->key, $still, true))
                ->map(static fn (Reminder $one): array => $one->only(['key', 'title', 'body', 'address']))->all());
        });
    }
}
