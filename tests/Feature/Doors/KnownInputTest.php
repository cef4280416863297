<?php

declare(strict_types=1);

namespace Tests\Feature\Doors;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;

/** What was a fault once: an answer in words now, and nothing is changed. */
final class KnownInputTest extends DoorsTestCase
{
    /** @return array<string, array{string, string, array<string, mixed>}> */
    public static function inputs(): array
    {
        return [
            'a list for an estimate' => ['PATCH', '/tasks/{task}', ['title' => 'Quotes', 'estimate' => ['1', '2']]],
            'an object for an estimate' => ['PATCH', '/tasks/{task}', ['title' => 'Quotes', 'estimate' => ['a' => ['b' => 1]]]],
            'a list for what is left' => ['PATCH', '/tasks/{task}', ['title' => 'Quotes', 'minutes_left' => ['5']]],
            'lists for pieces' => ['PATCH', '/tasks/{task}', ['title' => 'Quotes', 'min_chunk' => ['15'], 'max_chunk' => ['x' => '30']]],
            'pieces of nothing' => ['PATCH', '/tasks/{task}', ['title' => 'Quotes', 'min_chunk' => '99999999999999999999', 'max_chunk' => '-1']],
            'text for a week' => ['PUT', '/settings/hours/{set}', ['week' => 'mon 9 to 5']],
            'a list for a day' => ['PUT', '/settings/hours/{set}', ['week' => ['mon' => ['09:00-17:00']]]],
            'no week' => ['PUT', '/settings/hours/{set}', []],
            'a list for stretches' => ['POST', '/settings/hours/{set}/dates', ['date' => '2026-03-12', 'stretches' => ['10:00-12:00']]],
            'a list for lunch' => ['PUT', '/settings', ['lunch_from' => ['12:30'], 'lunch_to' => '13:15']],
            'nothing of the settings' => ['PUT', '/settings', []],
            'a list to search for' => ['GET', '/search?q[]=texts', []],
            'a list for the morning' => ['GET', '/shape?morning[]=left', []],
            'a list for a token' => ['POST', '/capture', ['token' => ['a'], 'title' => 'Quotes']],
            'a project without a name' => ['POST', '/projects', []],
            'until nothing, and not never' => ['POST', '/work/entries/{entry}/went-on', ['none' => '0', 'ends_at' => '{}']],
            'a note that is missing' => ['POST', '/occurrences/{occurrence}/note', []],
            'a list for a note' => ['POST', '/occurrences/{occurrence}/note', ['note' => ['a']]],
            'a huge first part' => ['POST', '/blocks/{block}/split', ['first' => '99999999999999999999']],
            'a first part below nothing' => ['POST', '/blocks/{block}/split', ['first' => '-30']],
            'a list for a first part' => ['POST', '/blocks/{block}/split', ['first' => ['30']]],
            'a list for a password' => ['PUT', '/account/password', ['current_password' => ['a'], 'password' => ['b']]],
            'a list for a code' => ['POST', '/account/second/confirm', ['code' => ['000000']]],
            'no code' => ['POST', '/account/second/confirm', []],
        ];
    }

    /** @param  array<string, mixed>  $sent */
    #[Test]
    #[DataProvider('inputs')]
    public function it_is_answered_in_words_and_changes_nothing(string $method, string $address, array $sent): void
    {
        $task = $this->task('Quotes');
        $block = $this->block($task, '2026-03-11 14:00', '2026-03-11 15:00', anchored: true);
        $this->meeting('Committee', '2026-03-11 11:00', '2026-03-11 12:00');
        $set = $this->ines->hoursSets()->firstOrFail();
        $this->actingAs($this->ines->refresh());
        $state = fn (): array => [$task->refresh()->only(['title', 'estimate', 'min_chunk', 'max_chunk']), $set->refresh()->week, $set->exceptions()->count(), $this->ines->refresh()->only(['lunch_from', 'lunch_to', 'password']), $this->plan(), $this->ines->projects()->count(), $this->ines->tasks()->count()];
        $before = $state();

        $address = strtr($address, ['{task}' => (string) $task->id, '{block}' => (string) $block->id, '{set}' => (string) $set->id, '{occurrence}' => (string) $this->ines->occurrences()->value('id')]);
        $response = $this->from('/shape')->call($method, $address, $sent);

        self::assertLessThan(500, $response->getStatusCode(), (string) $response->exception);
        self::assertTrue($response->isClientError() || $response->isRedirect(), 'refused, or sent back with a word');
        self::assertSame($before, $state());
        $this->get('/shape')->assertOk();
        $this->get('/settings')->assertOk();
    }
}
