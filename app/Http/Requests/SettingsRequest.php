<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\EstimateUse;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Nekto\Core\Hours\Stretch;
use Nekto\Core\Plan\DayBegins;
use Nekto\Core\Plan\Tempo;

final class SettingsRequest extends FormRequest
{
    private const REMINDS = ['meetings', 'blocks', 'due', 'waiting', 'close'];

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'zone' => ['required', 'timezone:all'],
            'margin_percent' => ['required', 'integer', 'between:0,80'],
            'buffer_before' => ['required', 'integer', 'between:0,240'],
            'buffer_after' => ['required', 'integer', 'between:0,240'],
            'deep_limit' => ['required', 'integer', 'between:0,1440'],
            'lunch_from' => ['nullable', 'required_with:lunch_to', 'date_format:H:i'],
            'lunch_to' => ['nullable', 'required_with:lunch_from', 'date_format:H:i', 'after:lunch_from'],
            'addresses' => ['nullable', 'string', 'max:500'],
            'least_piece' => ['sometimes', 'required', 'integer', 'between:25,60', 'multiple_of:5'],
            'offer_anew' => ['sometimes', 'required', 'integer', 'between:0,9999'],
            'day_begins' => ['sometimes', 'required', Rule::enum(DayBegins::class)],
            'tempo' => ['required', Rule::enum(Tempo::class)],
            'estimates' => ['sometimes', 'required', Rule::enum(EstimateUse::class)],
            'theme' => ['required', Rule::in(['auto', 'light', 'dark'])],
            'single_keys' => ['required', 'boolean'],
            'month_first' => ['sometimes', 'boolean'],
            'carry_picks' => ['sometimes', 'boolean'],
            'mend_asks' => ['sometimes', 'boolean'],
            'sound' => ['sometimes', 'boolean'],
            'remind_mail' => ['sometimes', 'boolean'],
            'remind_before' => ['sometimes', 'required', 'integer', 'between:0,240'],
            'reminds' => ['sometimes', 'array'],
            'reminds.*' => ['nullable', Rule::in(self::REMINDS)],
            'close_at' => ['sometimes', 'nullable', 'date_format:H:i,G:i'],
            'rhythm_work' => ['sometimes', 'nullable', 'integer', 'between:5,240'],
            'rhythm_break' => ['sometimes', 'required', 'integer', 'between:1,120'],
            'rhythm_long' => ['sometimes', 'required', 'integer', 'between:1,240'],
            'rhythm_after' => ['sometimes', 'required', 'integer', 'between:1,12'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'zone.timezone' => __('settings.unknown_zone'),
            'lunch_to.after' => __('settings.lunch_order'),
            'lunch_from.required_with' => __('settings.lunch_both'),
            'lunch_to.required_with' => __('settings.lunch_both'),
            'between' => __('settings.between'),
            'close_at.date_format' => __('task.unknown_time'),
            'multiple_of' => __('settings.in_fives'),
            'integer' => __('settings.whole_number'),
        ];
    }

    /** @return array<string, mixed> */
    public function columns(): array
    {
        $minutes = fn (string $key): ?int => $this->filled($key) ? Stretch::minutes($this->string($key)->toString()) : null;

        return [
            ...$this->safe(['zone', 'margin_percent', 'buffer_before', 'buffer_after', 'deep_limit', 'estimates', 'tempo', 'least_piece', 'offer_anew', 'day_begins', 'theme', 'single_keys', 'month_first', 'carry_picks', 'mend_asks', 'sound', 'remind_mail',
                'remind_before', 'rhythm_work', 'rhythm_break', 'rhythm_long', 'rhythm_after']),
            ...($this->has('reminds') ? ['reminds' => implode(',', array_intersect(self::REMINDS, $this->array('reminds')))] : []),
            ...($this->has('close_at') ? ['close_at' => $minutes('close_at')] : []),
            'addresses' => $this->string('addresses')->toString(),
            'lunch_from' => $minutes('lunch_from'),
            'lunch_to' => $minutes('lunch_to'),
        ];
    }
}
