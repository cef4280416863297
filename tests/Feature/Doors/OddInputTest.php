<?php

declare(strict_types=1);

namespace Tests\Feature\Doors;

use Illuminate\Routing\Middleware\ThrottleRequests;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Route as Router;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Feature\FeatureTestCase;

/**
 * Whatever is sent to whatever address: an answer in words, never a fault. Seeded: 2,400 inputs, with NEKTO_LONG forty thousand.
 */
final class OddInputTest extends FeatureTestCase
{
    use RowsOfAllKinds;

    /** Of each seed. */
    private const INPUTS = 1200;

    private const LONG = 6800;

    private Randomizer $random;

    /** @var array<string, list<int|string>> own rows by the name of the route's parameter */
    private array $own;

    /** @return array<string, array{int}> */
    public static function seeds(): array
    {
        $seeds = array_map(static fn (int $seed): int => $seed + (int) (getenv('ERIS_SEED') ?: 0), range(1, getenv('NEKTO_LONG') ? 6 : 2));

        return array_combine(array_map(static fn (int $seed): string => "seed {$seed}", $seeds), array_map(static fn (int $seed): array => [$seed], $seeds));
    }

    #[Test]
    #[DataProvider('seeds')]
    public function no_input_is_a_fault(int $seed): void
    {
        $this->random = new Randomizer(new Mt19937($seed));
        $this->withoutMiddleware(ThrottleRequests::class);
        $this->own = $this->rowsOf($this->ines);
        $fields = new Fields;
        $routes = array_values(array_filter(Router::getRoutes()->getRoutes(), static fn (Route $route): bool => ! str_contains($route->uri(), 'sign-out') && ! str_starts_with($route->uri(), '_')));
        $faults = [];
        for ($i = 0; $i < (getenv('NEKTO_LONG') ? self::LONG : self::INPUTS); $i++) {
            $route = $routes[$this->random->getInt(0, count($routes) - 1)];
            [$method, $address, $sent] = [$route->methods()[0], $this->address($route), $this->sent($fields->of($route))];
            in_array('guest', $route->gatherMiddleware(), true) ? Auth::logout() : $this->actingAs($this->ines->refresh());
            $response = $this->call($method, $address, $sent, server: ['HTTP_ACCEPT' => $this->random->getInt(0, 4) === 0 ? 'application/json' : 'text/html']);
            if ($response->getStatusCode() >= 500) {
                $faults[] = "{$method} {$address} ".mb_substr((string) json_encode($sent, JSON_INVALID_UTF8_SUBSTITUTE), 0, 400).' '.mb_substr((string) $response->exception, 0, 500);
            }
        }

        self::assertSame([], $faults);
        $this->actingAs($this->ines->refresh());
        $this->get('/shape')->assertOk(); // and what came of it can still be shown
        $this->get('/gather')->assertOk();
        $this->get('/weigh')->assertOk();
        $this->get('/work')->assertOk();
        $this->get('/settings')->assertOk();
    }

    private function address(Route $route): string
    {
        $address = $route->uri();
        foreach ($route->parameterNames() as $name) {
            $value = $this->random->getInt(0, 9) < 8 ? $this->oneOf($this->own[$name] ?? ['2026-03-11']) : $this->oneOf(['0', '-1', '99999999999999999999', 'abc', '2026-13-45', '%00', '%C3%28', '1e3', '..']);
            $address = (string) preg_replace('/\{'.$name.'\??\}/', (string) $value, $address);
        }

        return '/'.ltrim($address, '/');
    }

    /**
     * @param  list<string>  $names
     * @return array<string, mixed>
     */
    private function sent(array $names): array
    {
        $sent = [];
        foreach ($names as $name) {
            $chance = $this->random->getInt(0, 99);
            if ($chance < 50) {
                $sent[$name] = $this->plausible($name);
            } elseif ($chance < 85) {
                $sent[$name] = $this->odd();
            }
        }

        return $sent;
    }

    private function plausible(string $name): mixed
    {
        return match (true) {
            in_array($name, ['ids', 'tasks', 'picks', 'keys', 'order'], true) => $this->own['task'],
            str_ends_with($name, '_id') => $this->oneOf($this->own[substr($name, 0, -3)] ?? $this->own['task']),
            in_array($name, ['day', 'date', 'until'], true), str_ends_with($name, '_on'), str_ends_with($name, '_date'), str_starts_with($name, 'not_') => $this->oneOf(['2026-03-11', '2026-03-12', '2026-03-29', '']),
            in_array($name, ['start', 'from', 'to', 'due_time', 'lunch_from', 'lunch_until'], true) => $this->oneOf(['10:00', '09:05', '23:55', '24:00', 'tomorrow', 'project', 'done', 'weigh', 'waiting']),
            in_array($name, ['minutes', 'first', 'left', 'estimate', 'importance', 'importance_value'], true) => $this->oneOf(['15', '1', '4', '45', '1 h 30', '20 min']),
            $name === 'kind' => $this->oneOf(['lay_out', 'picks', 'wait', 'way', 'mend']),
            $name === 'answer' => $this->oneOf(['do_now', 'make_time', 'hand_off', 'let_go']),
            $name === 'mark' => $this->oneOf(['', '1']),
            default => $this->oneOf(['Quotes', '1', '0', 'on', 'Lamps for room 3 by friday', '']),
        };
    }

    private function odd(): mixed
    {
        return $this->oneOf([
            ['a', 'b'], [[1], ['x' => ['y' => 'z']]], ['' => ''], null, -1, 0, '-5', PHP_INT_MAX, '99999999999999999999', '1e308', 'NaN', '0x1F', '1.5', ' ',
            "with \x01 \x1f control", "\u{202E}turned", "\u{1F30A}", str_repeat('ä', 300), str_repeat('long ', 4000), '<script>alert(1)</script>', "'; drop table tasks; --",
            '2026-02-30', '0000-00-00', '9999-12-31', '99999-01-01', '1900-01-01', '2026-3-1', '25:61', '24:00', '-1:00', "line\nline\r\nline", '[]', '{}', 'true', '%', '../../etc', '{{ 1 }}', "a\0b", "\xC3\x28", "\xED\xA0\x80", str_repeat('x', 300_000),
            '999999999 h', '99999999 days', '-20 min', 'every 0 days', 'due 32 march', '00:00', true, false, 3.7,
        ]);
    }

    /**
     * @param  array<mixed>  $values
     */
    private function oneOf(array $values): mixed
    {
        $values = array_values($values);

        return $values[$this->random->getInt(0, count($values) - 1)];
    }
}
