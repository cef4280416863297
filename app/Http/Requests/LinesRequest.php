<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Nekto\Core\Capture\Outline;
use Nekto\Core\Capture\OutlineItem;

/** One typed line or many, and what the person refused to have understood. */
final class LinesRequest extends FormRequest
{
    use TypedLines;

    private const MOST_LINES = 500;

    private const MOST_CHARACTERS = 100_000;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'lines' => ['bail', 'required', 'string', 'max:'.self::MOST_CHARACTERS, function (string $name, mixed $value, \Closure $fail): void {
                $lines = substr_count((string) $value, "\n") + 1;
                if ($lines > self::MOST_LINES) {
                    $fail(__('gather.too_many', ['most' => self::MOST_LINES, 'lines' => number_format($lines)]));
                } elseif ($this->items() === []) {
                    $fail(__('gather.empty'));
                }
            }],
        ] + $this->typedRules();
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['lines.required' => __('gather.empty'), 'lines.max' => __('gather.too_long')];
    }

    /**
     * @param  bool  $nested  whether an indented line belongs to the one above it
     * @return list<OutlineItem>
     */
    public function items(bool $nested = true): array
    {
        return Outline::of($this->string('lines')->toString(), nested: $nested);
    }
}
