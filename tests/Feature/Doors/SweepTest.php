<?php

declare(strict_types=1);

namespace Tests\Feature\Doors;

use App\Models\User;
use Illuminate\Routing\Middleware\ThrottleRequests;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route as Router;
use Illuminate\Support\Facades\Storage;
use PHPUnit\Framework\Attributes\Test;
use Tests\Feature\FeatureTestCase;

/** Every route with the ids of another account in its address and in what is sent: nothing of it is shown, nothing is changed. */
final class SweepTest extends FeatureTestCase
{
    use RowsOfAllKinds;

    /** In every text of the other account. */
    private const MARK = 'Zanzibar';

    /** What carries an id, besides names that end so. */
    private const IDS = ['ids', 'tasks', 'picks', 'keys', 'listed', 'take', 'order', 'with', 'block', 'task', 'item', 'reserve', 'view', 'revision', 'set', 'project', 'section', 'area'];

    #[Test]
    public function nothing_of_another_account_is_seen_or_touched(): void
    {
        Storage::fake('local');
        $this->withoutMiddleware(ThrottleRequests::class);
        $wim = $this->person('wim@example.org');
        $theirs = $this->rowsOf($wim, self::MARK);
        $own = $this->rowsOf($this->ines);
        DB::table('plan_revisions')->insert(['user_id' => $wim->id, 'cause' => 'changed', 'moves' => '[]', 'late' => '[]', 'rows' => json_encode(['tasks' => [['id' => $theirs['task'][0], 'before' => ['title' => 'x'], 'after' => ['title' => 'y']]]]), 'made_at' => now()]);
        $before = self::state($wim);
        $fields = new Fields;
        $calls = 0;
        foreach (Router::getRoutes()->getRoutes() as $route) {
            if (in_array('guest', $route->gatherMiddleware(), true) || str_starts_with($route->uri(), '_')) {
                continue;
            }
            foreach ([[$theirs, $own], [$own, $theirs], [$theirs, $theirs]] as [$inAddress, $inBody]) {
                foreach ([0, 1] as $variant) {
                    $this->actingAs($this->ines->refresh());
                    $address = self::address($route, $inAddress, $variant);
                    $response = $this->call($route->methods()[0], $address, self::sent($fields->of($route), $inBody, $variant));
                    $calls++;
                    self::assertLessThan(500, $response->getStatusCode(), $address);
                    self::assertStringNotContainsString(self::MARK, (string) $response->getContent(), $address);
                    self::assertStringNotContainsString(self::MARK, json_encode(session()->all(), JSON_THROW_ON_ERROR), $address);
                }
            }
            self::assertSame($before, self::state($wim), $route->methods()[0].' '.$route->uri());
        }
        self::assertGreaterThan(700, $calls);
        foreach (['/shape', '/gather', '/weigh/list', '/close', '/work', '/projects', '/meetings', '/settings', '/views', '/search?q=zanzibar', '/gather/export/csv', '/outbox', '/account'] as $page) {
            self::assertStringNotContainsString(self::MARK, (string) str_replace('value="zanzibar"', '', (string) $this->get($page)->getContent()), $page);
        }
    }

    /** @param  array<string, list<int|string>>  $ids */
    private static function address(Route $route, array $ids, int $variant): string
    {
        $address = $route->uri();
        foreach ($route->parameterNames() as $name) {
            $of = $ids[$name] ?? ['2026-03-11'];
            $address = (string) preg_replace('/\{'.$name.'\??\}/', (string) $of[$variant % count($of)], $address);
        }

        return '/'.ltrim($address, '/');
    }

    /**
     * @param  list<string>  $names
     * @param  array<string, list<int|string>>  $ids
     * @return array<string, mixed>
     */
    private static function sent(array $names, array $ids, int $variant): array
    {
        $sent = [];
        foreach ($names as $name) {
            $of = $ids[str_ends_with($name, '_id') ? substr($name, 0, -3) : $name] ?? $ids['task'];
            $sent[$name] = match (true) {
                in_array($name, ['ids', 'tasks', 'picks', 'keys', 'listed', 'take', 'order'], true) => $ids[$name === 'keys' ? 'block' : 'task'],
                str_ends_with($name, '_id'), in_array($name, self::IDS, true) => $of[0],
                default => ['title' => 'Mine', 'name' => 'Mine', 'day' => '2026-03-11', 'date' => '2026-03-12', 'to' => ['done', 'project'][$variant], 'answer' => ['do_now', 'let_go'][$variant], 'kind' => ['picks', 'wait'][$variant], 'start' => '10:00', 'minutes' => '30', 'left' => '15', 'estimate' => '30', 'importance' => '2'][$name] ?? null,
            };
        }

        return array_filter($sent, static fn (mixed $value): bool => $value !== null);
    }

    /** @return array<string, string> a digest of each table's rows of the account */
    private static function state(User $user): array
    {
        static $tables = null;
        $tables ??= array_values(array_filter(array_column(DB::select("select name from sqlite_master where type = 'table' and sql like '%user_id%' and name not like 'search%'"), 'name'), static fn (string $name): bool => ! in_array($name, ['changes', 'prospects'], true)));
        $state = ['users' => sha1((string) json_encode(DB::table('users')->find($user->id)))];
        foreach ($tables as $table) {
            $state[$table] = sha1((string) json_encode(DB::table($table)->where('user_id', $user->id)->orderBy('rowid')->get()));
        }

        return $state;
    }
}
