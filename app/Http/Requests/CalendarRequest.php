<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;

/** A calendar file. */
final class CalendarRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['calendar' => ['required', 'file', 'max:'.config('nekto.upload_megabytes').'000']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        $tooLarge = __('meetings.too_large', ['megabytes' => config('nekto.upload_megabytes')]);

        return ['calendar.required' => __('meetings.choose_a_file'), 'calendar.max' => $tooLarge, 'calendar.uploaded' => $tooLarge];
    }

    public function calendar(): UploadedFile
    {
        $file = $this->file('calendar');

        return $file instanceof UploadedFile ? $file : throw new \LogicException('Checked by the rules.');
    }
}
