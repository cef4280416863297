<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Nekto\Core\Time\InvalidTime;
use Nekto\Core\Time\LocalDay;

/** What the person chose for the tasks of a week: a day, or to wait. */
final class WeekPlanRequest extends FormRequest
{
    private const MOST = 300;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['on' => ['sometimes', 'array', 'max:'.self::MOST], 'on.*' => ['string', 'max:10']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['on.*' => __('weekplan.odd')];
    }

    /** @return array<int, int|null> numbers of days by task; null to wait. What is no day says nothing */
    public function chosen(): array
    {
        $chosen = [];
        foreach (array_slice($this->array('on'), 0, self::MOST, true) as $task => $day) {
            if ($day === 'wait') {
                $chosen[(int) $task] = null;
            } elseif (is_string($day)) {
                try {
                    $chosen[(int) $task] = LocalDay::fromString($day)->number;
                } catch (InvalidTime) {
                    continue;
                }
            }
        }

        return $chosen;
    }
}
