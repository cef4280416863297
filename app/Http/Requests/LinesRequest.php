<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Nekto\Core\Capture\Kind;

/** One typed line or several, and what the person refused to have understood. */
final class LinesRequest extends FormRequest
{
    private const MOST_LINES = 50;

    private const MOST_CHARACTERS = 20_000;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'lines' => ['required', 'string', 'max:'.self::MOST_CHARACTERS, function (string $name, mixed $value, \Closure $fail): void {
                if (count($this->texts()) > self::MOST_LINES) {
                    $fail(__('gather.too_many', ['most' => self::MOST_LINES]));
                }
            }],
            'refused' => ['nullable', 'string', 'max:1000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['lines.required' => __('gather.empty'), 'lines.max' => __('gather.too_long')];
    }

    /** @return list<array{string, list<Kind>}> text and refused kinds of each line that is not empty */
    public function lines(): array
    {
        $refused = [];
        foreach (explode(' ', $this->string('refused')->toString()) as $entry) { // as "0:due 2:minutes"
            [$line, $kind] = [...explode(':', $entry, 2), ''];
            if (($case = Kind::tryFrom($kind)) !== null) {
                $refused[(int) $line][] = $case;
            }
        }

        return array_map(
            static fn (string $text, int $i): array => [$text, $refused[$i] ?? []],
            $this->texts(),
            array_keys($this->texts()),
        );
    }

    /** @return list<string> */
    private function texts(): array
    {
        $lines = preg_split('/\R/u', mb_scrub((string) $this->input('lines'))) ?: [];

        return array_values(array_filter(array_map(trim(...), $lines), static fn (string $line): bool => $line !== ''));
    }
}
