<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Reserve;
use App\Time\Clock;
use App\Time\Moments;
use App\Time\Zones;
use Carbon\CarbonImmutable;
use Illuminate\Foundation\Http\FormRequest;
use Nekto\Core\Time\Grid;
use Nekto\Core\Time\LocalDay;

/** Time to keep free: a day, a start by the wall clock, how long, and what for. */
final class ReserveRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'title' => ['nullable', 'string', 'max:120'],
            'day' => ['required', 'date_format:Y-m-d', 'after:2000-01-01', 'before:2200-01-01'],
            'start' => ['required', 'date_format:H:i,G:i'],
            'minutes' => ['required', 'integer', 'between:5,720'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'start.required' => __('task.unknown_time'),
            'start.date_format' => __('task.unknown_time'),
            'minutes.required' => __('shape.block_length'),
            'minutes.between' => __('shape.block_length'),
            'minutes.integer' => __('shape.block_length'),
        ];
    }

    public function title(): string
    {
        return $this->filled('title') ? trim($this->string('title')->toString()) : __('shape.reserved');
    }

    /** @return array{CarbonImmutable, CarbonImmutable} one that has begun keeps its start */
    public function times(?Reserve $reserve = null): array
    {
        [$hour, $minute] = array_map(intval(...), explode(':', $this->string('start')->toString()));
        $day = LocalDay::fromString($this->string('day')->toString());
        $start = Moments::moment(Zones::named($this->user()->zone)->at($day, Grid::down(60 * $hour + $minute)));
        $begun = $reserve !== null && $reserve->starts_at <= Clock::now() && $this->user()->local($reserve->starts_at)->format('G:i') === sprintf('%d:%02d', $hour, $minute);
        $start = $begun ? $reserve->starts_at : $start;

        return [$start, $start->addMinutes(max(Grid::STEP, Grid::down($this->integer('minutes'))))];
    }
}
