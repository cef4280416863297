<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\User;
use App\Wording\TypedDay;
use App\Wording\TypedTime;
use Illuminate\Http\Request;
use Nekto\Core\Hours\Stretch;
use Symfony\Component\HttpFoundation\Response;

/**
 * Days and times of the day as the person types them ("fri", "18 April", "3/4", "2:30 pm") become those that everything
 * behind this door takes: 2026-03-13 and 14:30. What cannot be read stays as it is, and is refused where it is looked at.
 */
final readonly class TypedDays
{
    private const DAYS = ['day', 'date', 'due_date', 'not_before', 'ask_on', 'return_on', 'picked_on'];

    private const CLOCKS = ['start', 'due_time', 'not_before_time'];

    /** These are other things too, where they say no half of the day. */
    private const HALVES = ['from', 'to', 'until'];

    public function handle(Request $request, \Closure $next): Response
    {
        $user = $request->user();
        if ($user instanceof User && ! $request->isMethod('GET')) {
            foreach (self::DAYS as $name) {
                $this->put($request, $name, static fn (string $text): ?string => preg_match('/^\d{4}-\d{2}-\d{2}$/D', $text) === 1 ? null : TypedDay::read($user, $text));
            }
            foreach (self::CLOCKS as $name) {
                $this->put($request, $name, self::clock(...));
            }
            foreach (self::HALVES as $name) {
                $this->put($request, $name, static fn (string $text): ?string => preg_match('/[ap]\.?m\.?$/iD', $text) === 1 ? self::clock($text) : null);
            }
        }

        return $next($request);
    }

    private static function clock(string $text): ?string
    {
        $minute = TypedTime::minute($text);

        return $minute === null ? null : Stretch::clock($minute);
    }

    /** @param  \Closure(string): ?string  $read */
    private function put(Request $request, string $name, \Closure $read): void
    {
        $text = $request->request->get($name);
        $value = is_string($text) && trim($text) !== '' && strlen($text) <= 100 ? $read(trim($text)) : null;
        $value === null || $request->request->set($name, $value);
    }
}
