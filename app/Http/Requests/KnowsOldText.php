<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Wording\TextMark;
use Illuminate\Foundation\Http\FormRequest;

/**
 * A long text comes with the mark of the text it was written over (`note_was`). If that has been changed elsewhere
 * meanwhile, the answer shows what stands there now beside what was typed: neither overwrites the other unseen.
 *
 * @mixin FormRequest
 */
trait KnowsOldText
{
    /** Letters of the other text that are shown. */
    private const SHOWN = 600;

    /** @return \Closure(string, mixed, \Closure): void a rule for the text's field */
    private function unchangedText(?string $now): \Closure
    {
        return function (string $name, mixed $value, \Closure $fail) use ($now): void {
            $was = $this->string("{$name}_was")->toString();
            if ($was !== '' && $was !== TextMark::of($now) && trim((string) $value) !== trim((string) $now)) {
                $fail(__('app.text_changed', ['text' => trim((string) $now) === '' ? __('app.text_empty') : '“'.mb_strimwidth(trim((string) $now), 0, self::SHOWN, ' …').'”']));
            }
        };
    }
}
