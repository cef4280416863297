<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** A day's three lines, and why things slipped; with `close` the day ends. */
final class CloseDayRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $line = ['nullable', 'string', 'max:500'];

        return ['date' => ['required', 'date_format:Y-m-d'], 'went_well' => $line, 'in_the_way' => $line, 'tomorrow' => $line, 'slips' => ['array', 'max:100'], 'slips.*' => ['nullable', 'string', 'max:300']];
    }

    /** @return array<string, mixed> columns of closed_days */
    public function columns(): array
    {
        return ['slips' => array_filter($this->array('slips'))] + $this->safe(['went_well', 'in_the_way', 'tomorrow']);
    }
}
