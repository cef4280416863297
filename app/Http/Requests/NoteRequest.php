<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** A note that stays with a meeting; empty takes it away. */
final class NoteRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['note' => ['nullable', 'string', 'max:20000']];
    }

    public function note(): string
    {
        return trim($this->string('note')->toString());
    }
}
