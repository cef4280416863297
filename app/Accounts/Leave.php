<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\User;
use App\Post\PostMail;
use App\Time\Clock;
use App\Wording\Dates;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

/** Deleting an account: it rests for seven days, in which it can be taken back; then it is gone, and its files with it. */
final readonly class Leave
{
    public const DAYS = 7;

    /** Tables that may hold many rows of one account, what refers to others before those. */
    private const LARGE = ['acts', 'account_notes', 'plan_revisions', 'task_events', 'entries', 'blocks', 'subtasks', 'links', 'attachments', 'reminders', 'outbox_mails', 'occurrences', 'answers', 'meetings', 'messages', 'tasks'];

    private const AT_ONCE = 500;

    public function __construct(private Happened $happened, private PostMail $post) {}

    public function ask(User $user): void
    {
        $user->forceFill(['leaves_at' => now()->addDays(self::DAYS)])->save();
        SigningIn::endOthers($user, null);
        ($this->happened)($user, 'leave_asked');
        ($this->post)($user, __('account.mail.leave_subject'), __('account.mail.leave_body', ['day' => self::day($user), 'days' => self::DAYS]), Clock::now());
    }

    public function takeBack(User $user): void
    {
        $user->forceFill(['leaves_at' => null])->save();
        ($this->happened)($user, 'leave_taken_back');
    }

    /** The last day on which it can be taken back, as the person's calendar has it. */
    public static function day(User $user): string
    {
        return $user->leaves_at === null ? '' : Dates::of($user)->long($user->local($user->leaves_at), year: true);
    }

    /** Most rows of an account go a few hundred at a time, so that nobody else waits for all of them at once. */
    private static function empty(User $user): void
    {
        foreach (self::LARGE as $table) {
            do {
                $gone = DB::table($table)->whereIn('rowid', DB::table($table)->where('user_id', $user->id)->limit(self::AT_ONCE)->select('rowid'))->delete();
            } while ($gone === self::AT_ONCE);
        }
    }

    /** @return int accounts that are gone */
    public static function carryOut(CarbonImmutable $now): int
    {
        $leaving = User::query()->whereNotNull('leaves_at')->where('leaves_at', '<=', $now)->get();
        foreach ($leaving as $user) {
            $files = array_values(array_filter([...$user->intakes()->pluck('path')->all(), ...$user->intakes()->pluck('parts')->all()]));
            self::empty($user);
            $user->delete(); // what is left goes with it, each row by its foreign key
            Storage::delete($files);
            Storage::deleteDirectory("files/{$user->id}");
            Storage::deleteDirectory("mailbox/{$user->id}");
        }

        return $leaving->count();
    }
}
