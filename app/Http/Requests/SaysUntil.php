<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\User;
use Carbon\CarbonImmutable;

/** Until when something went on, as a clock time, or `none`: it did not. A time before its start is one of the next day. */
trait SaysUntil
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['until' => ['required_unless:none,1', 'nullable', 'date_format:H:i,G:i'], 'none' => ['sometimes', 'boolean']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['until.*' => __('task.unknown_time')];
    }

    private function until(CarbonImmutable $start): CarbonImmutable
    {
        $start = $this->owner()->local($start);
        $end = $start->setTimeFromTimeString($this->string('until')->toString());

        return ($end <= $start ? $end->addDay() : $end)->utc();
    }

    private function owner(): User
    {
        $user = $this->user();

        return $user instanceof User ? $user : throw new \LogicException('Behind the sign-in.');
    }
}
