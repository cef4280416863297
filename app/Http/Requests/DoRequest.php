<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** A line that does something with a task. */
final class DoRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['q' => ['required', 'string', 'max:200']];
    }

    public function line(): string
    {
        return $this->string('q')->trim()->toString();
    }
}
