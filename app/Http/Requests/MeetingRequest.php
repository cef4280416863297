<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** Whether a meeting counts in planning, and how many minutes it takes to get there. */
final class MeetingRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['ignored' => ['sometimes', 'boolean'], 'lead_minutes' => ['sometimes', 'nullable', 'integer', 'between:0,480']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['lead_minutes.between' => __('meetings.lead'), 'lead_minutes.integer' => __('meetings.lead')];
    }

    /** @return array<string, mixed> columns of meetings */
    public function columns(): array
    {
        return $this->safe(['ignored', 'lead_minutes']);
    }
}
