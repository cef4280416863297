<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Review;
use Illuminate\Foundation\Http\FormRequest;

/** A step of a review, taken: where it goes on, and in the areas a line that is caught. */
final class ReviewRequest extends FormRequest
{
    use TypedLines;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'step' => ['required', 'integer', 'between:1,'.count(Review::STEPS)],
            'place' => ['sometimes', 'integer', 'between:0,200'],
            'lines' => ['sometimes', 'nullable', 'string', 'max:2000'],
            'note' => ['sometimes', 'nullable', 'string', 'max:5000'],
        ] + $this->typedRules();
    }
}
