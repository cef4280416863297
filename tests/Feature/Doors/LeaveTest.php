<?php

declare(strict_types=1);

namespace Tests\Feature\Doors;

use App\Files\KeepFile;
use App\Models\Attachment;
use App\Models\User;
use Database\Seeders\DemoSeeder;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use PHPUnit\Framework\Attributes\Test;

/** Deleting an account: with the password, seven days to take it back, then gone with its files. */
final class LeaveTest extends DoorsTestCase
{
    #[Test]
    public function it_asks_for_the_password_and_signs_out_everywhere(): void
    {
        $this->signIn();
        $this->elsewhere();
        $this->delete('/account', ['own_password' => 'wrong'])->assertSessionHasErrors('own_password');
        $this->delete('/account', ['own_password' => self::PASSWORD])->assertRedirect('/sign-in');
        self::assertStringContainsString('Wednesday 18 March 2026', (string) session('status'));
        self::assertSame(0, $this->ines->signIns()->going()->count());
        self::assertSame('Your account is to be deleted', $this->ines->outboxMails()->latest('id')->value('subject'));
    }

    #[Test]
    public function within_seven_days_it_is_taken_back_and_until_then_there_is_only_that(): void
    {
        $task = $this->task('Quotes');
        $this->leave();
        $this->at('2026-03-17 20:00');
        $this->artisan('nekto:minute');
        $this->signIn();
        $this->get('/shape')->assertRedirect('/account/leaving');
        $this->patch("/tasks/{$task->id}", ['title' => 'Changed'])->assertRedirect('/account/leaving');
        $this->get('/gather/export/csv')->assertOk()->assertSee('Quotes');
        $this->get('/account/leaving')->assertOk()->assertSee('rests until Wednesday 18 March 2026');
        $this->post('/account/leaving')->assertRedirect('/shape');

        $this->at('2026-03-20 20:00');
        $this->artisan('nekto:minute');
        $this->get('/shape')->assertOk();
        self::assertSame('Quotes', $task->refresh()->title);
    }

    #[Test]
    public function then_it_is_gone_with_every_row_and_file_and_nothing_of_anybody_else_is(): void
    {
        $this->seed(DemoSeeder::class);
        $ines = User::query()->where('email', DemoSeeder::EMAIL)->firstOrFail();
        $other = $this->task('Lighting plan');
        $kept = (new KeepFile)($this->ines, 'a list', 'list.txt', taskId: $other->id);
        $file = (new KeepFile)($ines, 'another list', 'list.txt');
        self::assertInstanceOf(Attachment::class, $kept);
        self::assertInstanceOf(Attachment::class, $file);
        Storage::put("mailbox/{$ines->id}/a.eml", 'a');
        $tables = array_filter(array_column(DB::select("select name from sqlite_master where type = 'table' and sql like '%user_id%' and name not like 'search_%'"), 'name'), static fn (string $name): bool => $name !== 'search');
        self::assertGreaterThan(20, count($tables));
        $ines->forceFill(['leaves_at' => now()->subMinute()])->save();

        $this->artisan('nekto:minute');

        self::assertNull(User::query()->find($ines->id));
        foreach ([...$tables, 'search'] as $table) {
            self::assertSame(0, DB::table($table)->where('user_id', $ines->id)->count(), $table);
        }
        self::assertSame([], [...Storage::allFiles("files/{$ines->id}"), ...Storage::allFiles("mailbox/{$ines->id}")]);
        self::assertTrue(Storage::exists($kept->path));
        self::assertSame('Lighting plan', $other->refresh()->title);
    }

    private function leave(): void
    {
        $this->signIn();
        $this->delete('/account', ['own_password' => self::PASSWORD]);
    }
}
