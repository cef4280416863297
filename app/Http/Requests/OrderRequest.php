<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** One of several up or down a place, or before another one: there where it was dropped. */
final class OrderRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['task' => ['required', 'integer'], 'move' => ['required', 'in:up,down,to'], 'before' => ['nullable', 'integer'], 'section' => ['nullable', 'integer']];
    }

    public function isDropped(): bool
    {
        return $this->input('move') === 'to';
    }

    /** Places, down if positive. */
    public function by(): int
    {
        return $this->input('move') === 'up' ? -1 : 1;
    }
}
