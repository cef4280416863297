<?php

declare(strict_types=1);

namespace App\Http;

use App\Accounts\KnownBrowser;
use Illuminate\Http\Request;

/**
 * What was typed into a page that had been open too long, or whose sign-in had ended: it waits in the session, and stands in
 * its fields again once the page it was typed in is shown. (With scripts the page keeps it itself.)
 */
final class KeptText
{
    private const KEY = 'kept_text';

    /** Never kept, whatever they hold. */
    private const SECRET = ['password', 'current_password', 'own_password', 'code', '_token', '_method', '_once', '_age'];

    /** Bytes; more would make a session slow. */
    private const MOST = 500_000;

    public static function keep(Request $request): void
    {
        $input = self::of($request);
        if ($input !== [] && strlen((string) json_encode($input)) <= self::MOST) {
            $request->session()->put(self::KEY, ['page' => self::page($request), 'input' => $input, 'account' => KnownBrowser::account($request)]);
        }
    }

    /** For the page that is being answered. */
    public static function giveBack(Request $request): void
    {
        $session = $request->session();
        $kept = $session->get(self::KEY);
        if (! $request->isMethod('GET') || ! is_array($kept) || $request->hasHeader('X-By-Itself') || strtok($kept['page'], '?') !== $request->getPathInfo()) {
            return;
        }
        $session->forget(self::KEY);
        if ($kept['account'] !== null && $kept['account'] !== $request->user()?->getAuthIdentifier()) {
            return; // somebody else has signed in here since
        }
        $session->now('_old_input', $kept['input']);
        $session->now('kept', self::words($kept['input']));
        $session->now('status', __('app.kept'));
    }

    /**
     * What a person has typed, without secrets and keys.
     *
     * @return array<string, mixed>
     */
    public static function of(Request $request): array
    {
        return array_filter($request->except(self::SECRET), static fn (mixed $value): bool => is_string($value) ? $value !== '' : is_array($value));
    }

    /**
     * Those values that are words, to be shown as they are.
     *
     * @param  array<string, mixed>  $input
     * @return list<string>
     */
    public static function words(array $input): array
    {
        $all = [];
        array_walk_recursive($input, static function (mixed $value, string|int $name) use (&$all): void {
            $name !== 'back' && is_string($value) && preg_match('/\p{L}{2}/u', $value) === 1 && $all[] = $value;
        });

        return $all;
    }

    /** Where it was typed. */
    private static function page(Request $request): string
    {
        return SafeAddress::own((string) $request->headers->get('referer')) ?? '/gather';
    }
}
