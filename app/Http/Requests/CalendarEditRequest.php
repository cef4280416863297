<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Calendars\CalendarAddress;
use App\Calendars\NotFetched;
use App\Models\Calendar;
use App\Models\CalendarBlocks;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;

/** How a calendar is called, drawn and taken by planning; whatever is sent of it. */
final class CalendarEditRequest extends FormRequest
{
    /** Minutes, as columns have them. */
    private const MINUTES = ['buffer_before', 'buffer_after', 'travel'];

    private ?CalendarAddress $to = null;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['sometimes', 'required', 'string', 'max:120'],
            'hatching' => ['sometimes', 'integer', 'between:1,'.Calendar::HATCHINGS],
            'shown' => ['sometimes', 'boolean'],
            'blocks' => ['sometimes', Rule::enum(CalendarBlocks::class)],
            'whole_days' => ['sometimes', 'boolean'],
            'buffer_before' => ['sometimes', 'nullable', 'integer', 'between:0,480'],
            'buffer_after' => ['sometimes', 'nullable', 'integer', 'between:0,480'],
            'travel' => ['sometimes', 'nullable', 'integer', 'between:0,480'],
            'group_id' => ['sometimes', 'nullable', 'integer', Rule::exists('calendar_groups', 'id')->where('user_id', $this->user()?->getAuthIdentifier())],
            'address' => ['sometimes', 'required', 'string', 'max:'.CalendarAddress::LONGEST],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['name.required' => __('calendars.name'), 'address.required' => __('calendars.no_address'), ...array_fill_keys(array_merge(...array_map(static fn (string $name): array => ["{$name}.between", "{$name}.integer"], self::MINUTES)), __('calendars.minutes'))];
    }

    public function withValidator(Validator $validator): void
    {
        $validator->after(function (Validator $validator): void {
            if ($this->filled('address') && $validator->errors()->isEmpty()) {
                try {
                    $this->to = CalendarAddress::of($this->string('address')->toString());
                } catch (NotFetched $error) {
                    $validator->errors()->add('address', $error->getMessage());
                }
            }
        });
    }

    /** Where it is to be fetched from now on; null: as before. */
    public function address(): ?CalendarAddress
    {
        return $this->to;
    }

    /** @return array<string, mixed> columns of calendars */
    public function columns(): array
    {
        $columns = $this->safe(['name', 'hatching', 'shown', 'blocks', 'whole_days', 'buffer_before', 'buffer_after', 'travel', 'group_id']);

        return [...$columns, ...(isset($columns['name']) ? ['named' => true] : []), ...($this->has('travel') ? ['travel' => $this->integer('travel')] : [])];
    }
}
