<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Entry;
use App\Models\User;
use App\Time\Clock;
use Carbon\CarbonImmutable;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Validator;

/** Until when the work went on after a meeting had stopped the clock. A time before it began is one of the next day. */
final class WentOnRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['until' => ['required_without:none', 'nullable', 'date_format:H:i,G:i'], 'none' => ['sometimes', 'boolean']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['until.*' => __('task.unknown_time')];
    }

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
        $start = $this->owner()->local($this->entry()->starts_at);
        $end = $start->setTimeFromTimeString($this->string('until')->toString());

        return ($end <= $start ? $end->addDay() : $end)->utc();
    }

    private function entry(): Entry
    {
        $entry = $this->route('entry');

        return $entry instanceof Entry ? $entry : throw new \LogicException('The route names one.');
    }

    private function owner(): User
    {
        $user = $this->user();

        return $user instanceof User ? $user : throw new \LogicException('Behind the sign-in.');
    }
}
