<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Find\Question;
use Illuminate\Foundation\Http\FormRequest;

/** A view to be kept under a name. */
final class ViewRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['name' => ['required', 'string', 'max:100'], 'view' => ['nullable', 'integer']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['name.required' => __('task.view_name')];
    }

    /** @return array<string, mixed> columns of saved_views */
    public function columns(): array
    {
        return ['name' => $this->string('name')->toString(), 'question' => Question::of($this->all())->asArray(), 'pinned' => $this->boolean('pinned')];
    }
}
