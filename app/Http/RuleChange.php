<?php

declare(strict_types=1);

namespace App\Http;

use App\Models\User;
use App\Planning\Foresee;
use App\Planning\Replan;
use App\Screens\Settings\Consequence;
use App\Time\Clock;
use App\Wording\Said;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Nekto\Core\Time\LocalDay;

/**
 * A change of the person's rules: shown with what it would do, or made. A form that asks first sends "try"; its Take sends
 * back which proposal was seen, so that what was changed once more is shown once more.
 */
final readonly class RuleChange
{
    public function __construct(private Foresee $foresee, private Replan $replan, private Said $said, #[CurrentUser] private User $user) {}

    /**
     * @param  \Closure(): mixed  $change  of rows; the plan follows
     * @param  string  $said  once it is made
     * @param  string  $back  address of the page
     * @param  string  $title  the change in a few words, as a question
     * @param  LocalDay|null  $from  the first day it is about
     * @param  list<string>  $also  what else is to be known before it is taken
     * @param  array<mixed>|null  $as  what was read of what was sent, where the same can be written in several ways
     */
    public function __invoke(Request $request, \Closure $change, string $said, string $back, string $title = '', ?LocalDay $from = null, array $also = [], ?array $as = null): RedirectResponse
    {
        $now = Clock::now();
        $make = static function () use ($change): void {
            $change();
        };
        $seen = self::mark($as ?? $request->request->all());
        if ($request->boolean('try') && ! ($request->boolean('take') && $request->input('seen') === $seen)) {
            $foreseen = $this->foresee->of($this->user, $now, $make, $from);
            if ($foreseen->revision === null) {
                return redirect($back)->with('status', __('settings.same'));
            }

            return redirect($back)->withInput()->with('consequence', [
                'form' => (string) $request->input('form'), 'seen' => $seen, 'title' => $title, 'also' => $also !== [],
                'words' => [...(new Consequence($this->user, $now))->of($foreseen), ...$also],
            ]);
        }
        $revision = $this->replan->after($this->user, $now, $make);

        return redirect($back)->with($this->said->about($revision, $said));
    }

    /** @param  array<mixed>  $sent */
    private static function mark(array $sent): string
    {
        return substr(hash('sha256', json_encode(array_diff_key($sent, array_flip(['_token', '_method', 'try', 'take', 'seen', '_once', '_age'])), JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE)), 0, 16);
    }
}
