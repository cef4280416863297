<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Entry;
use App\Rows\RunningClock;
use App\Time\Clock;
use App\Wording\Times;
use Carbon\CarbonImmutable;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Validator;

/** When a clock that was forgotten should have stopped. A time before it began is one of the next day. */
final class ForgottenRequest extends FormRequest
{
    use SaysUntil;

    /** @return list<\Closure(Validator): void> */
    public function after(): array
    {
        return [function (Validator $validator): void {
            $entry = $this->entry();
            if ($validator->errors()->isEmpty() && $entry !== null && ! $this->boolean('none') && ($this->end() <= $entry->starts_at || $this->end() > Clock::now())) {
                $validator->errors()->add('until', __('work.stopped_when', ['start' => Times::when($this->owner(), $entry->starts_at, Clock::now())]));
            }
        }];
    }

    public function entry(): ?Entry
    {
        return RunningClock::forgotten($this->owner(), Clock::now());
    }

    public function end(): CarbonImmutable
    {
        return $this->until($this->entry()->starts_at ?? Clock::now());
    }
}
