<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Entry;
use App\Time\Clock;
use Carbon\CarbonImmutable;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Validator;

/** Until when the work went on after a meeting had stopped the clock. A time before it began is one of the next day. */
final class WentOnRequest extends FormRequest
{
    use SaysUntil;

    /** @return list<\Closure(Validator): void> */
    public function after(): array
    {
        return [function (Validator $validator): void {
            if ($validator->errors()->isNotEmpty() || $this->boolean('none')) {
                return;
            }
            $next = $this->owner()->entries()->where('starts_at', '>', $this->entry()->starts_at)->min('starts_at');
            if ($this->end() > Clock::now()) {
                $validator->errors()->add('until', __('work.not_yet'));
            } elseif ($next !== null && $this->end() > CarbonImmutable::parse((string) $next, 'UTC')) {
                $validator->errors()->add('until', __('work.other_since'));
            }
        }];
    }

    public function end(): CarbonImmutable
    {
        return $this->until($this->entry()->starts_at);
    }

    private function entry(): Entry
    {
        $entry = $this->route('entry');

        return $entry instanceof Entry ? $entry : throw new \LogicException('The route names one.');
    }
}
