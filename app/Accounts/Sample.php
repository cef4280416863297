<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\SignIn;
use App\Models\User;
use Carbon\CarbonImmutable;
use Database\Seeders\DemoSeeder;
use Illuminate\Contracts\Session\Session;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/**
 * A filled sample to look at: the sample scenario in an account of its own, which is thrown away. Whoever looks at it goes
 * back to his own account by the same session, as long as the sign-in that he came from still goes on.
 */
final readonly class Sample
{
    /** In the session: the row of the sign-in that is come back to. */
    private const CAME_FROM = 'sample_from';

    /** Hours after which a sample that nobody left is thrown away. */
    private const HOURS = 24;

    public function __construct(private DemoSeeder $seeder, private SigningIn $signingIn) {}

    public function begin(User $owner, Session $session): void
    {
        User::query()->where('sample_of', $owner->id)->get()->each(self::throwAway(...));
        $from = (int) $session->get(SigningIn::ROW);
        $sample = DB::transaction(function () use ($owner): User {
            $sample = $this->seeder->fill(sprintf('sample-%d-%s@nekto.invalid', $owner->id, Str::lower(Str::random(12))), Str::random(40), follows: false);
            $sample->forceFill(['sample_of' => $owner->id, 'theme' => $owner->theme, 'single_keys' => $owner->single_keys, 'twelve_hours' => $owner->twelve_hours, 'dates' => $owner->dates, 'week_starts' => $owner->week_starts])->save();

            return $sample;
        });
        $this->signingIn->begin($sample, $session, stays: false);
        $session->put(self::CAME_FROM, $from);
    }

    /** Back to one's own account; false where the sign-in has ended meanwhile. */
    public function end(User $sample, Session $session): bool
    {
        $from = SignIn::query()->whereKey($session->get(self::CAME_FROM))->where('user_id', $sample->sample_of)->going()->first();
        $owner = $from === null ? null : User::query()->find($sample->sample_of);
        self::throwAway($sample);
        SigningIn::leave($session);
        if ($from === null || $owner === null) {
            return false;
        }
        SigningIn::end($from);
        $this->signingIn->begin($owner, $session, stays: $from->stays);

        return true;
    }

    /** Those that nobody has left. */
    public static function tidy(CarbonImmutable $now): void
    {
        User::query()->whereNotNull('sample_of')->whereNull('leaves_at')->where('created_at', '<', $now->subHours(self::HOURS))->get()->each(self::throwAway(...));
    }

    /** It goes with the next minute's work. */
    private static function throwAway(User $sample): void
    {
        $sample->forceFill(['leaves_at' => now()->subMinute()])->save();
    }
}
