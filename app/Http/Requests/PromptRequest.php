<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** What the weekly review asks of an area; nothing: what it asks of any. */
final class PromptRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['prompt' => ['nullable', 'string', 'max:300']];
    }

    public function text(): ?string
    {
        return $this->filled('prompt') ? trim($this->string('prompt')->toString()) : null;
    }
}
