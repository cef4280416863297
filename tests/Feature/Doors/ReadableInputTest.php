<?php

declare(strict_types=1);

namespace Tests\Feature\Doors;

use App\Http\Middleware\ReadableInput;
use Illuminate\Support\Facades\Auth;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;
use Tests\Feature\FeatureTestCase;

/** What no text is stays outside, and says so where it was sent from. */
final class ReadableInputTest extends FeatureTestCase
{
    /** @return array<string, array{string}> */
    public static function noText(): array
    {
        return ['a NUL' => ["Room\0 3"], 'half a letter' => ["Room \xC3\x28"], 'a lone surrogate' => ["Room \xED\xA0\x80"], 'an overlong slash' => ["\xC0\xAF"]];
    }

    #[Test]
    #[DataProvider('noText')]
    public function text_that_is_none_is_refused_in_words_and_changes_nothing(string $text): void
    {
        $this->from('/projects')->post('/projects', ['name' => $text])->assertRedirect('/projects')->assertSessionHasErrors(['input' => __('app.unreadable')])->assertSessionMissing('_old_input');
        $this->get('/projects')->assertOk()->assertSee('Nothing was changed');
        self::assertSame(0, $this->ines->projects()->count());
        $this->post('/gather', ['lines' => 'Lamps for room 3'])->assertSessionHasNoErrors(); // catching works as ever
        self::assertSame(1, $this->ines->tasks()->count());
    }

    #[Test]
    public function a_title_is_one_line_however_it_was_pasted(): void
    {
        $task = $this->task('Crates');
        $this->patch("/tasks/{$task->id}", ['title' => "Crates \r\n for Lyon\nand Porto"])->assertSessionHasNoErrors();

        self::assertSame('Crates for Lyon and Porto', $task->refresh()->title);
    }

    #[Test]
    public function an_address_with_such_bytes_has_our_own_page(): void
    {
        $this->get('/search?q=a%00b')->assertStatus(400)->assertSee('To today');
        $this->get('/search?q=%C3%28')->assertStatus(400);
        $this->get('/search?q[]=lamps')->assertStatus(400);
        $this->get('/tasks/%C3%28')->assertStatus(400);
    }

    #[Test]
    public function programs_are_told_in_their_way(): void
    {
        $this->postJson('/gather/understand', ['lines' => ['a', 'b']])->assertStatus(422)->assertJsonPath('errors.input.0', __('app.one_value'));
        $this->postJson('/capture', ['token' => ['a'], 'title' => 'x'])->assertStatus(422);
    }

    #[Test]
    public function a_list_stays_a_list_and_a_list_of_lists_is_none(): void
    {
        $task = $this->task('Quotes');

        $this->post('/tasks/sort', ['ids' => [$task->id], 'to' => 'someday'])->assertSessionHasNoErrors();
        $this->post('/tasks/sort', ['ids' => [[$task->id]], 'to' => 'done'])->assertSessionHasErrors('input');
        $this->post('/tasks/sort', ['ids' => [$task->id], 'to' => ['done']])->assertSessionHasErrors('input');
        self::assertNull($task->refresh()->done_at);
    }

    #[Test]
    public function every_list_a_form_sends_is_known_at_the_door(): void
    {
        $sent = [];
        foreach (glob(resource_path('views/*/*.blade.php')) ?: [] as $view) {
            preg_match_all('/name="([a-z_]+)\[/', (string) file_get_contents($view), $names);
            $sent = [...$sent, ...$names[1]];
        }

        self::assertNotSame([], $sent);
        self::assertEqualsCanonicalizing(array_values(array_unique($sent)), array_keys(ReadableInput::LISTS));
    }

    #[Test]
    public function a_number_of_a_program_is_what_a_form_would_have_sent(): void
    {
        $task = $this->task('Quotes');

        $this->patchJson("/tasks/{$task->id}", ['importance' => 4, 'due_hard' => true])->assertRedirect();
        self::assertSame(4, $task->refresh()->importance?->value);
        self::assertTrue($task->due_hard);
        $this->postJson('/reserves', ['title' => 'Kept', 'day' => PHP_INT_MAX, 'start' => '10:00', 'minutes' => 30])->assertStatus(422)->assertJsonValidationErrors('day');
    }

    #[Test]
    public function two_megabytes_into_any_field_are_refused_in_words_or_taken_whole(): void
    {
        $task = $this->task('Quotes');
        $long = str_repeat('Lamps for room 3. ', 117_000);
        foreach ([['/gather', ['lines' => $long]], ["/tasks/{$task->id}", ['_method' => 'PATCH', 'note' => $long]], ["/tasks/{$task->id}", ['_method' => 'PATCH', 'title' => $long]], ["/tasks/{$task->id}/subtasks", ['lines' => $long]],
            ['/close', ['date' => '2026-03-11', 'went_well' => $long]], ["/weigh/{$task->id}", ['answer' => 'hand_off', 'waiting_for' => $long]], ['/tasks/sort', ['ids' => [$task->id], 'to' => 'project', 'project' => $long]], ['/projects', ['name' => $long]], ['/views', ['name' => $long]]] as [$address, $fields]) {
            $this->from('/gather')->post($address, $fields)->assertRedirect()->assertSessionHasErrors();
            $this->get('/gather')->assertOk();
        }
        $this->postJson('/gather/understand', ['lines' => $long])->assertStatus(422);
        $this->get('/search?q='.urlencode(substr($long, 0, 6000)))->assertOk();
        self::assertSame('Quotes', $task->refresh()->title);
    }

    #[Test]
    public function whoever_stands_before_the_door_is_answered_too(): void
    {
        Auth::logout();

        $this->from('/sign-in')->post('/sign-in', ['email' => ['a'], 'password' => 'x'])->assertRedirect('/sign-in')->assertSessionHasErrors('input');
        $this->from('/sign-up')->post('/sign-up', ['name' => "a\0b", 'email' => 'a@example.org', 'password' => 'rivers-underfoot'])->assertRedirect('/sign-up')->assertSessionHasErrors('input');
    }
}
