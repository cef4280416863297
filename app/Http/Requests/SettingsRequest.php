<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\EstimateUse;
use App\Wording\Dates;
use App\Wording\TypedTime;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Nekto\Core\Plan\DayBegins;
use Nekto\Core\Plan\Tempo;

/** Any of the person's own rules: one, or several that belong together. */
final class SettingsRequest extends FormRequest
{
    /** Columns that are taken as they come. */
    private const PLAIN = [
        'zone', 'margin_percent', 'buffer_before', 'buffer_after', 'deep_limit', 'estimates', 'tempo', 'least_piece', 'offer_anew', 'day_begins', 'theme', 'single_keys', 'month_first', 'carry_picks', 'mend_asks', 'sound',
        'remind_mail', 'remind_before', 'rhythm_work', 'rhythm_break', 'rhythm_long', 'rhythm_after', 'keys_most', 'ask_after', 'someday_after', 'twelve_hours', 'dates', 'week_starts', 'review_on', 'encourages',
    ];

    /** Times of the day, in minutes where they are kept. */
    private const CLOCKS = ['lunch_from', 'lunch_to', 'sleep_from', 'sleep_to', 'morning_until', 'afternoon_until', 'close_at', 'review_at'];

    private const REMINDS = ['meetings', 'blocks', 'due', 'waiting', 'close', 'review', 'report'];

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $clock = static function (string $name, mixed $value, \Closure $fail): void {
            TypedTime::minute($value) === null && $fail(__('task.unknown_time'));
        };

        return [
            'zone' => ['sometimes', 'required', 'timezone:all'],
            'margin_percent' => ['sometimes', 'required', 'integer', 'between:0,80'],
            'buffer_before' => ['sometimes', 'required', 'integer', 'between:0,240'],
            'buffer_after' => ['sometimes', 'required', 'integer', 'between:0,240'],
            'deep_limit' => ['sometimes', 'required', 'integer', 'between:0,1440'],
            'lunch_from' => ['sometimes', 'nullable', 'required_with:lunch_to', $clock],
            'lunch_to' => ['sometimes', 'nullable', 'required_with:lunch_from', $clock, $this->later('lunch_from', __('settings.lunch_order'))],
            'sleep_from' => ['sometimes', 'nullable', 'required_with:sleep_to', $clock],
            'sleep_to' => ['sometimes', 'nullable', 'required_with:sleep_from', $clock, 'different:sleep_from'],
            'morning_until' => ['sometimes', 'required', $clock],
            'afternoon_until' => ['sometimes', 'required', $clock, $this->later('morning_until', __('settings.parts_order'))],
            'keys_most' => ['sometimes', 'required', 'integer', 'between:1,9'],
            'ask_after' => ['sometimes', 'required', 'integer', 'between:1,90'],
            'someday_after' => ['sometimes', 'nullable', 'integer', 'between:7,365'],
            'twelve_hours' => ['sometimes', 'boolean'],
            'dates' => ['sometimes', 'required', Rule::in(array_keys(Dates::LANGUAGES))],
            'week_starts' => ['sometimes', 'required', Rule::in([1, 6, 7])],
            'addresses' => ['sometimes', 'nullable', 'string', 'max:500'],
            'least_piece' => ['sometimes', 'required', 'integer', 'between:25,60', 'multiple_of:5'],
            'offer_anew' => ['sometimes', 'required', 'integer', 'between:0,9999'],
            'day_begins' => ['sometimes', 'required', Rule::enum(DayBegins::class)],
            'tempo' => ['sometimes', 'required', Rule::enum(Tempo::class)],
            'estimates' => ['sometimes', 'required', Rule::enum(EstimateUse::class)],
            'theme' => ['sometimes', 'required', Rule::in(['auto', 'light', 'dark'])],
            'single_keys' => ['sometimes', 'required', 'boolean'],
            'month_first' => ['sometimes', 'boolean'],
            'carry_picks' => ['sometimes', 'boolean'],
            'mend_asks' => ['sometimes', 'boolean'],
            'sound' => ['sometimes', 'boolean'],
            'remind_mail' => ['sometimes', 'boolean'],
            'remind_before' => ['sometimes', 'required', 'integer', 'between:0,240'],
            'reminds' => ['sometimes', 'array'],
            'reminds.*' => ['nullable', Rule::in(self::REMINDS)],
            'close_at' => ['sometimes', 'nullable', $clock],
            'review_on' => ['sometimes', 'nullable', 'integer', 'between:1,7'],
            'review_at' => ['sometimes', 'required', $clock],
            'encourages' => ['sometimes', 'boolean'],
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
            'lunch_from.required_with' => __('settings.lunch_both'),
            'lunch_to.required_with' => __('settings.lunch_both'),
            'between' => __('settings.between'),
            'sleep_from.required_with' => __('settings.sleep_both'),
            'sleep_to.required_with' => __('settings.sleep_both'),
            'sleep_to.different' => __('settings.sleep_both'),
            'multiple_of' => __('settings.in_fives'),
            'integer' => __('settings.whole_number'),
        ];
    }

    /** @return array<string, mixed> */
    public function columns(): array
    {
        $columns = $this->safe(self::PLAIN);
        foreach (self::CLOCKS as $key) {
            $this->has($key) && $columns[$key] = $this->filled($key) ? TypedTime::minute($this->input($key)) : null;
        }
        $this->has('reminds') && $columns['reminds'] = implode(',', array_intersect(self::REMINDS, $this->array('reminds')));
        $this->has('addresses') && $columns['addresses'] = $this->string('addresses')->toString();

        return $columns;
    }

    /** @return \Closure(string, mixed, \Closure): void */
    private function later(string $than, string $otherwise): \Closure
    {
        return function (string $name, mixed $value, \Closure $fail) use ($than, $otherwise): void {
            $this->filled($than) && TypedTime::minute($value) <= TypedTime::minute($this->input($than)) && $fail($otherwise);
        };
    }
}
