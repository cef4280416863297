<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Calendar;
use App\Models\CalendarKind;
use App\Models\User;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;

/** A calendar file. */
final class CalendarRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['calendar' => ['required', 'file', 'max:'.config('nekto.upload_megabytes').'000'], 'into' => ['nullable', 'integer']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        $tooLarge = __('meetings.too_large', ['megabytes' => config('nekto.upload_megabytes')]);

        return ['calendar.required' => __('meetings.choose_a_file'), 'calendar.max' => $tooLarge, 'calendar.uploaded' => $tooLarge];
    }

    /** The calendar whose place the file takes; null: one of that name, or a new one. */
    public function into(User $user): ?Calendar
    {
        return $this->filled('into') ? $user->calendars()->kept()->where('kind', CalendarKind::File)->find($this->integer('into')) : null;
    }

    public function calendar(): UploadedFile
    {
        $file = $this->file('calendar');

        return $file instanceof UploadedFile ? $file : throw new \LogicException('Checked by the rules.');
    }
}
