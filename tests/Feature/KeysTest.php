<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Screens\Keys;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;

/** Keys come from one list: what is bound on a screen is in it, what it shows is what is bound, and one key does one thing. */
final class KeysTest extends FeatureTestCase
{
    /** @return array<string, array{string}> */
    public static function screens(): array
    {
        $screens = ['/gather', '/weigh', '/weigh/list', '/shape', '/work', '/close', '/settings', '/meetings', '/projects', '/views', '/search', '/views/no-date', '/tasks/1', '/shape?block=1'];

        return array_combine($screens, array_map(static fn (string $screen): array => [$screen], $screens));
    }

    #[Test]
    #[DataProvider('screens')]
    public function every_key_of_a_screen_is_in_the_list_and_shown_as_it_is(string $screen): void
    {
        $task = $this->task('Quotes', 90, dueOn: '2026-03-13');
        $this->block($task, '2026-03-11 09:00', '2026-03-11 10:30');
        $this->post('/gather', ['lines' => "Two lamps\nThree lamps"]);
        $this->ines->messages()->create(['message_id' => '1', 'from_name' => 'Ana', 'subject' => 'Lamps', 'body' => '', 'received_at' => now()]);
        $this->at('2026-03-11 09:20');
        $page = $this->page($screen);
        $shown = array_column(array_filter(Keys::all(), static fn (array $one): bool => ! isset($one['after'])), 'show', 'key');

        foreach ($page->query('//*[@data-key or @data-page-key or @data-go]') as $control) {
            self::assertInstanceOf(\DOMElement::class, $control);
            $key = $control->getAttribute('data-key').$control->getAttribute('data-page-key').$control->getAttribute('data-go');
            self::assertArrayHasKey($key, $shown);
            foreach ($page->query('.//kbd', $control) as $hint) {
                self::assertSame($shown[$key], trim($hint->textContent), $control->textContent);
            }
        }
        foreach ($page->query('//*[@data-page-key]') as $control) {
            self::assertInstanceOf(\DOMElement::class, $control);
            $key = $control->getAttribute('data-page-key');
            self::assertCount(1, $page->query("//*[@data-page-key='{$key}']"), "{$key} does one thing");
        }
        foreach ($page->query('//ul[contains(@class, "inbox")]/li | //tbody/tr[@data-row]') as $row) {
            $keys = array_map(static fn (\DOMNode $one): string => $one->nodeValue ?? '', iterator_to_array($page->query('.//@data-key', $row)));
            self::assertSame(array_values(array_unique($keys)), $keys, 'in a row too');
        }
    }

    #[Test]
    public function the_list_names_every_key_once_and_says_what_it_means(): void
    {
        $names = array_map(static fn (array $one): string => ($one['after'] ?? '').$one['key'], Keys::all());
        self::assertSame($names, array_values(array_unique($names)));
        self::assertSame([], array_filter(Keys::all(), static fn (array $one): bool => trim($one['means']) === ''));
        $page = $this->page('/shape');
        self::assertCount(count($names), $page->query('//dialog[@id="keys"]//*[@data-means]'));
    }

    #[Test]
    public function no_key_is_promised_that_does_nothing(): void
    {
        $bound = '';
        foreach ([...(glob(resource_path('views/*/*.blade.php')) ?: []), resource_path('js/keys.js'), ...(glob(resource_path('js/components/*.js')) ?: [])] as $file) {
            $bound .= file_get_contents($file);
        }
        foreach (Keys::all() as $one) {
            $key = str_replace('Shift ', '', $one['key']);
            self::assertTrue(isset($one['after']) || in_array($key, ['1', '2', '3', '4', 'q', 'e', 'z', 'c'], true) || preg_match('/(?:key|go|hint)="'.preg_quote($key, '/').'"|[\'"]'.preg_quote($key, '/').'[\'"]|'.preg_quote($key, '/').': \[/', $bound) === 1, "{$one['key']}: {$one['means']}");
        }
    }

    private function page(string $address): \DOMXPath
    {
        $page = new \DOMDocument;
        @$page->loadHTML((string) $this->get($address)->assertOk()->getContent());

        return new \DOMXPath($page);
    }
}
