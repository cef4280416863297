<?php

declare(strict_types=1);

namespace Tests\Feature\Doors;

use App\Http\Troubles;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Facades\Route;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;
use Psr\Log\LoggerInterface;

/** Where nothing can be stored: a page that says so, with what was typed, and the reason in the log. */
final class TroubleTest extends DoorsTestCase
{
    #[Test]
    public function a_database_that_can_only_be_read_gives_the_text_back(): void
    {
        $this->actingAs($this->ines);
        $log = \Mockery::spy(LoggerInterface::class);
        Log::swap($log);
        DB::statement('pragma query_only = on');
        try {
            $this->post('/gather', ['lines' => "Ring the courier\n<b>today</b>", '_token' => 'secret-key'])->assertStatus(503)->assertHeader('Retry-After')
                ->assertSee('Nothing can be stored just now.')->assertSee('may read its database')->assertSee('Ring the courier')->assertSee('&lt;b&gt;today&lt;/b&gt;', false)->assertDontSee('secret-key');
            $this->postJson('/gather', ['lines' => 'Ring'])->assertStatus(503)->assertJson(['message' => __('app.trouble.read_only')]);
        } finally {
            DB::statement('pragma query_only = off');
        }
        $log->shouldHaveReceived('critical')->with('Nekto cannot store: read_only', \Mockery::on(static fn (array $facts): bool => str_contains($facts['why'], 'readonly')))->atLeast()->once();
        self::assertSame(0, $this->ines->tasks()->count());
    }

    #[Test]
    public function a_full_disk_is_said_and_nothing_is_half_written(): void
    {
        $this->actingAs($this->ines);
        $pages = DB::selectOne('pragma page_count')->page_count;
        DB::statement("pragma max_page_count = {$pages}");
        try {
            $full = $this->post('/gather', ['lines' => implode("\n", array_map(static fn (int $i): string => "Line {$i} ".str_repeat('long ', 35), range(1, 400)))]);
        } finally {
            DB::statement('pragma max_page_count = 1073741823');
        }
        $full->assertStatus(503)->assertSee('The disk Nekto writes to is full.')->assertSee('Line 399');
        self::assertSame(0, $this->ines->tasks()->count());
        $this->post('/gather', ['lines' => 'And on'])->assertRedirect();
    }

    /** @return list<array{\Throwable, string|null}> */
    public static function reasons(): array
    {
        return [
            [new \ErrorException('file_put_contents(): Write of 8192 bytes failed with errno=28 No space left on device'), 'full'],
            [new \ErrorException('fopen(/storage/a): Failed to open stream: Permission denied'), 'read_only'],
            [new \PDOException('SQLSTATE[HY000]: General error: 5 database is locked'), 'locked'],
            [new \RuntimeException('Outer', previous: new \PDOException('SQLSTATE[HY000]: General error: 10 disk I/O error')), 'no_database'],
            [new \PDOException('SQLSTATE[HY000]: General error: 11 database disk image is malformed'), 'no_database'],
            [new \LogicException('database is locked'), null],
            [new \ErrorException('Undefined array key 3'), null],
        ];
    }

    #[Test]
    #[DataProvider('reasons')]
    public function the_reason_is_known_by_what_the_system_says(\Throwable $error, ?string $reason): void
    {
        self::assertSame($reason, Troubles::reason($error));
        config(['app.debug' => false]);
        Route::get('/wrong', static fn () => throw $error);
        $this->get('/wrong')->assertStatus($reason === null ? 500 : 503)->assertDontSee('SQLSTATE')->assertDontSee('errno');
    }
}
