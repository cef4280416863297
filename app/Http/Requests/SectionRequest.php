<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** A section of a project: its name, and whether its tasks come one after another. */
final class SectionRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['name' => [$this->isMethod('POST') ? 'required' : 'sometimes', 'required', 'string', 'max:200'], 'sequential' => ['sometimes', 'boolean']];
    }

    /** @return array{name: string, sequential?: bool} columns of sections */
    public function columns(): array
    {
        /** @var array{name: string, sequential?: bool} */
        return $this->safe(['name', 'sequential']);
    }
}
