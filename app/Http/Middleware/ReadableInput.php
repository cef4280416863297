<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\BadRequestHttpException;

/**
 * What is sent is text, as a form sends it: UTF-8 without NUL, one value a name unless the name is a list's. Everything
 * behind this door may rely on it. What is not so is refused in words where it was sent from, and nothing of it is kept
 * for the next page, which could not be drawn with it.
 */
final readonly class ReadableInput
{
    /** Names that carry several values, by how deep these lie. */
    public const LISTS = [
        'ids' => 1, 'goals' => 1, 'sections' => 1, 'tasks' => 1, 'picks' => 1, 'moves' => 1, 'on' => 1, 'keys' => 1, 'listed' => 1, 'take' => 1, 'order' => 1, 'reminds' => 1, 'areas' => 1, 'calendars' => 1, 'week' => 1, 'days' => 1, 'slips' => 1, 'columns' => 1,
        'conditions' => 2,
    ];

    /** Letters of a name; no form of ours comes near. */
    private const LONGEST_NAME = 100;

    public function handle(Request $request, \Closure $next): Response
    {
        foreach ([$request->query, $request->isJson() ? $request->json() : $request->request] as $bag) {
            $sent = $bag->all();
            $refused = $this->refusal($sent);
            if ($refused !== null) {
                return $this->refuse($request, $refused);
            }
            $bag->replace(self::onOneLine(self::asForm($sent)));
        }
        foreach ($request->route()?->parameters() ?? [] as $part) {
            if (is_string($part) && ! self::isReadable($part)) {
                throw new BadRequestHttpException;
            }
        }

        return $next($request);
    }

    /**
     * Why it cannot be taken, as a key of lang/app; null if it can.
     *
     * @param  array<array-key, mixed>  $sent
     */
    private function refusal(array $sent): ?string
    {
        foreach ($sent as $name => $value) {
            $depth = self::LISTS[$name] ?? 0;
            if (! self::isReadable((string) $name) || strlen((string) $name) > self::LONGEST_NAME) {
                return 'unreadable';
            }
            if (self::depth($value) > $depth) {
                return 'one_value';
            }
            if (! self::isReadable($value)) {
                return 'unreadable';
            }
        }

        return null;
    }

    private function refuse(Request $request, string $why): Response
    {
        if ($request->expectsJson()) {
            return response()->json(['message' => __("app.{$why}"), 'errors' => ['input' => [__("app.{$why}")]]], 422);
        }
        if ($request->isMethod('GET')) {
            throw new BadRequestHttpException(__("app.{$why}"));
        }

        return back()->withErrors(['input' => __("app.{$why}")])->with('status', __("app.{$why}"));
    }

    private static function depth(mixed $value): int
    {
        return is_array($value) ? 1 + max(0, 0, ...array_values(array_map(self::depth(...), $value))) : 0;
    }

    private static function isReadable(mixed $value): bool
    {
        if (is_array($value)) {
            foreach ($value as $key => $one) {
                if (! self::isReadable((string) $key) || ! self::isReadable($one)) {
                    return false;
                }
            }

            return true;
        }

        return ! is_string($value) || (mb_check_encoding($value, 'UTF-8') && ! str_contains($value, "\0"));
    }

    /**
     * A title may be pasted into a field that wraps; it is one line all the same.
     *
     * @param  array<array-key, mixed>  $sent
     * @return array<array-key, mixed>
     */
    private static function onOneLine(array $sent): array
    {
        return is_string($sent['title'] ?? null) ? ['title' => (string) preg_replace('/\s*\R\s*/u', ' ', $sent['title'])] + $sent : $sent;
    }

    /**
     * Numbers of a JSON body as a form would have sent them.
     *
     * @param  array<array-key, mixed>  $sent
     * @return array<array-key, mixed>
     */
    private static function asForm(array $sent): array
    {
        return array_map(static fn (mixed $value): mixed => match (true) {
            is_array($value) => self::asForm($value),
            is_bool($value) => $value ? '1' : '0',
            is_int($value), is_float($value) => (string) $value,
            default => $value,
        }, $sent);
    }
}
