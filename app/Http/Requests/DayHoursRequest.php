<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Edits\HoursEdit;
use App\Models\HoursSet;
use App\Time\Clock;
use App\Time\Moments;
use App\Wording\Dates;
use Illuminate\Foundation\Http\FormRequest;
use Nekto\Core\Capture\HoursLine;
use Nekto\Core\Capture\HoursLineReader;
use Nekto\Core\Capture\UnclearHours;

/** Dates with other hours, or none, in one line. */
final class DayHoursRequest extends FormRequest
{
    private HoursLine|UnclearHours|null $read = null;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['line' => ['required', 'string', 'max:300', function (string $name, mixed $value, \Closure $fail): void {
            $read = $this->read();
            if ($read instanceof UnclearHours) {
                $fail(__("settings.unclear.{$read->value}"));
            } elseif (($set = $this->route('set')) instanceof HoursSet && ! HoursEdit::hasRoom($set, $read->last->number - $read->first->number + 1)) {
                $fail(__('settings.too_many_dates', ['count' => HoursEdit::MOST_DATES]));
            }
        }]];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['line.required' => __('settings.unclear.no_day')];
    }

    /** What the line says; to be asked once it was found right. */
    public function line(): HoursLine
    {
        $read = $this->read();

        return $read instanceof HoursLine ? $read : throw new \LogicException('It was looked at before.');
    }

    private function read(): HoursLine|UnclearHours
    {
        if ($this->read === null) {
            $user = $this->user();
            $line = $this->string('line')->toString();
            $reader = new HoursLineReader(Moments::today($user, Clock::now()), $user->month_first);
            $this->read = $reader->read($line);
            if ($this->read === UnclearHours::NoDay) { // as the person's own dates look; else what it is for stays in its own words
                $this->read = $reader->read(Dates::of($user)->understood($line));
            }
        }

        return $this->read;
    }
}
