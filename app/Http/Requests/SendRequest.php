<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Time\Moments;
use Carbon\CarbonImmutable;
use Illuminate\Foundation\Http\FormRequest;
use Nekto\Core\Time\LocalDay;

/** Where a block is sent: tomorrow, a day, or the bank. */
final class SendRequest extends FormRequest
{
    use ComesWithMark;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [...$this->markRules(), 'late' => ['sometimes', 'boolean'], 'to' => ['required', 'in:tomorrow,day,bank'], 'day' => ['required_if:to,day', 'nullable', 'date_format:Y-m-d', 'after:2000-01-01', 'before:2200-01-01']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['to.required' => __('shape.send_where'), 'to.in' => __('shape.send_where'), 'day.required_if' => __('shape.send_where'), 'day.date_format' => __('task.unknown_date')];
    }

    /** Null: the bank. */
    public function day(CarbonImmutable $now): ?LocalDay
    {
        return match ($this->string('to')->toString()) {
            'bank' => null,
            'tomorrow' => Moments::today($this->user(), $now)->plusDays(1),
            default => LocalDay::fromString($this->string('day')->toString()),
        };
    }
}
