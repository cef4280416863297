<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;

/** A calendar file with public holidays. */
final class HolidaysRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['holidays' => ['required', 'file', 'max:'.config('nekto.upload_megabytes').'000'], 'everywhere' => ['sometimes', 'boolean']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['holidays.required' => __('meetings.choose_a_file'), 'holidays.max' => __('meetings.too_large', ['megabytes' => config('nekto.upload_megabytes')]), 'holidays.*' => __('meetings.choose_a_file')];
    }

    public function text(): string
    {
        $file = $this->file('holidays');

        return $file instanceof UploadedFile ? (string) $file->getContent() : '';
    }
}
