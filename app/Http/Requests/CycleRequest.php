<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Cycle;
use Illuminate\Foundation\Http\FormRequest;
use Nekto\Core\Time\LocalDay;

/** The weeks of a cycle, and what they are for; any of it. */
final class CycleRequest extends FormRequest
{
    use KnowsOldText;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'date' => ['sometimes', 'nullable', 'date_format:Y-m-d', 'after:2000-01-01', 'before:2200-01-01'],
            'weeks' => ['sometimes', 'required', 'integer', 'between:1,'.Cycle::MOST_WEEKS],
            'vision' => ['sometimes', 'nullable', 'string', 'max:20000', $this->unchangedText(($cycle = $this->route('cycle')) instanceof Cycle ? $cycle->vision : null)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['date.*' => __('task.unknown_date'), 'weeks.*' => __('goals.weeks', ['most' => Cycle::MOST_WEEKS])];
    }

    public function from(): ?LocalDay
    {
        return $this->filled('date') ? LocalDay::fromString($this->string('date')->toString()) : null;
    }

    /** @return array<string, mixed> columns of cycles */
    public function columns(): array
    {
        return $this->safe(['weeks', 'vision']) + ($this->filled('date') ? ['begins_on' => $this->string('date')->toString()] : []);
    }
}
