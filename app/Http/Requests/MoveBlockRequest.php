<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Block;
use App\Rows\RowMapper;
use App\Time\Clock;
use App\Time\Moments;
use App\Time\Zones;
use Carbon\CarbonImmutable;
use Illuminate\Foundation\Http\FormRequest;
use Nekto\Core\Time\Grid;
use Nekto\Core\Time\LocalDay;

/** Where a block is to go: a day and a start by the wall clock, and how long it is to be. */
final class MoveBlockRequest extends FormRequest
{
    use ComesWithMark;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            ...$this->markRules(),
            'day' => ['required', 'date_format:Y-m-d', 'after:2000-01-01', 'before:2200-01-01'],
            'start' => ['nullable', 'date_format:H:i,G:i'],
            'minutes' => ['nullable', 'integer', 'between:5,720'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'day.date_format' => __('task.unknown_date'),
            'start.date_format' => __('task.unknown_time'),
            'minutes.between' => __('shape.block_length'),
            'minutes.integer' => __('shape.block_length'),
        ];
    }

    public function day(): LocalDay
    {
        return LocalDay::fromString($this->string('day')->toString());
    }

    public function start(): CarbonImmutable
    {
        [$hour, $minute] = array_map(intval(...), explode(':', $this->string('start')->toString()));

        return Moments::moment(Zones::named($this->user()->zone)->at($this->day(), Grid::down(60 * $hour + $minute)));
    }

    /** @return array{CarbonImmutable, CarbonImmutable} */
    public function times(Block $block): array
    {
        $minutes = $this->filled('minutes') ? max(Grid::STEP, Grid::down($this->integer('minutes'))) : RowMapper::time($block)->length();
        $begun = $block->starts_at <= Clock::now() && $this->string('start')->toString() === $this->user()->local($block->starts_at)->format('H:i');
        $start = $begun || ! $this->filled('start') ? $block->starts_at : $this->start();

        return [$start, $start->addMinutes($minutes)];
    }
}
