<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Nekto\Core\Time\LocalDay;

/** Whether a task is to be a key task, and of which day. */
final class KeyRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['key' => ['required', 'boolean'], 'day' => ['required', 'date_format:Y-m-d', 'before:2200-01-01']];
    }

    public function day(): LocalDay
    {
        return LocalDay::fromString($this->string('day')->toString());
    }
}
