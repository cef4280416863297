<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Answer;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** An answer to a meeting, and whether it is for all its times. */
final class AnswerRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['answer' => ['required', 'string', Rule::in([Answer::Accepted->value, Answer::Tentative->value, Answer::Declined->value])], 'whole' => ['nullable', 'boolean']];
    }

    public function answer(): Answer
    {
        return Answer::from($this->string('answer')->toString());
    }
}
