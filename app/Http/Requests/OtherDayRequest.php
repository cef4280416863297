<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Nekto\Core\Hours\HoursReader;
use Nekto\Core\Time\Grid;

/** When a routine, or lunch, is on one day. */
final class OtherDayRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'what' => ['sometimes', 'in:drop,usual,tick'],
            'part' => ['sometimes', 'integer', 'between:0,100'],
            'start' => ['required_without:what', 'date_format:H:i,G:i'],
            'minutes' => ['required_without:what', 'integer', 'between:5,720'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['start.*' => __('task.unknown_time'), 'minutes.*' => __('shape.block_length')];
    }

    /** @return array{int, int} minute of the day, and how many minutes; no further than its end */
    public function time(): array
    {
        $at = Grid::down(HoursReader::clock($this->string('start')->toString()));

        return [$at, min(1440 - $at, max(Grid::STEP, Grid::down($this->integer('minutes'))))];
    }
}
