<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** What of a proposed day is taken. */
final class PickRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'day' => ['required', 'date_format:Y-m-d', 'before:2200-01-01'],
            'picks' => ['array', 'max:200'],
            'picks.*' => ['integer'],
            'keys' => ['array', 'max:'.$this->user()->keys_most],
            'keys.*' => ['integer'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['keys.max' => __('shape.all_keys', ['count' => $this->user()->keys_most])];
    }

    public function day(): string
    {
        return $this->string('day')->toString();
    }

    /** @return list<int> */
    public function picks(): array
    {
        return array_values(array_map(static fn (mixed $id): int => (int) $id, $this->array('picks')));
    }

    /** @return list<int> */
    public function keys(): array
    {
        return array_values(array_map(static fn (mixed $id): int => (int) $id, $this->array('keys')));
    }
}
