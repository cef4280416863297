<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Route;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;

/** What is shown where there is no screen: our own page, in words, with a way on. */
final class ErrorPagesTest extends FeatureTestCase
{
    /** @return array<string, array{int, string}> */
    public static function statuses(): array
    {
        return [
            'not allowed' => [403, 'That cannot be done here.'],
            'nothing there' => [404, 'There is nothing here.'],
            'expired' => [419, 'That cannot be done here.'],
            'too often' => [429, 'Too many tries.'],
            'at fault' => [500, 'Something went wrong.'],
            'away' => [503, 'Something went wrong.'],
        ];
    }

    #[Test]
    #[DataProvider('statuses')]
    public function every_error_has_our_page(int $status, string $words): void
    {
        Route::get('/wrong', static fn () => abort($status));

        $this->get('/wrong')->assertStatus($status)->assertSee($words)->assertSee('To today')->assertDontSee('<style', false);
    }

    #[Test]
    public function a_fault_nobody_thought_of_has_it_too_and_tells_nothing_of_itself(): void
    {
        config(['app.debug' => false]);
        Route::get('/wrong', static fn () => throw new \LogicException('Secret words'));

        $this->get('/wrong')->assertStatus(500)->assertSee('What you had saved is safe')->assertDontSee('Secret words')->assertDontSee('<style', false);
    }

    #[Test]
    public function too_many_files_in_a_minute_are_refused_in_words_and_later_taken_again(): void
    {
        $send = fn () => $this->post('/meetings', ['file' => UploadedFile::fake()->createWithContent('a.ics', 'nothing')]);
        for ($i = 0; $i < 20; $i++) {
            $send()->assertRedirect();
        }
        $send()->assertStatus(429)->assertSee('Wait a minute, then try again.');
        $this->travel(61)->seconds();
        $send()->assertRedirect();
    }

    #[Test]
    public function who_asks_for_data_gets_data(): void
    {
        $this->getJson('/nowhere')->assertNotFound()->assertHeader('Content-Type', 'application/json');
    }
}
