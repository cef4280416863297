<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Project;
use App\Time\Clock;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** A project's form, whole or a part of it; a new one needs a name and an area. */
final class ProjectRequest extends FormRequest
{
    use KnowsOldText;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $needed = $this->isMethod('POST') ? 'required' : 'sometimes';

        return [
            'name' => [$needed, 'required', 'string', 'max:200'],
            'note' => ['sometimes', 'nullable', 'string', 'max:20000', $this->unchangedText(($project = $this->route('project')) instanceof Project ? $project->note : null)],
            'area_id' => [$needed, 'required', Rule::exists('areas', 'id')->where('user_id', $this->user()?->getAuthIdentifier())],
            'after_id' => ['sometimes', 'nullable', 'integer', Rule::exists('projects', 'id')->where('user_id', $this->user()?->getAuthIdentifier())->withoutTrashed(), $this->noCircle(...)],
            'due_date' => ['sometimes', 'nullable', 'date_format:Y-m-d', 'after:2000-01-01', 'before:2200-01-01'],
            'sequential' => ['sometimes', 'boolean'],
            'done' => ['sometimes', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['due_date.*' => __('task.unknown_date')];
    }

    /** @param  \Closure(string): mixed  $fail */
    private function noCircle(string $name, mixed $value, \Closure $fail): void
    {
        $own = ($project = $this->route('project')) instanceof Project ? $project->id : 0;
        $after = Project::query()->where('user_id', $this->user()?->getAuthIdentifier())->whereNotNull('after_id')->pluck('after_id', 'id')->all();
        $seen = [];
        for ($at = (int) $value; $at !== 0 && ! isset($seen[$at]); $at = (int) ($after[$at] ?? 0)) {
            $seen[$at] = true;
        }
        isset($seen[$own]) && $fail(__('task.circle'));
    }

    /** @return array<string, mixed> columns of projects */
    public function columns(): array
    {
        return $this->safe(['name', 'note', 'area_id', 'after_id', 'sequential'])
            + ($this->has('due_date') ? ['due_on' => $this->input('due_date')] : [])
            + ($this->has('done') ? ['done_at' => $this->boolean('done') ? Clock::now() : null] : []);
    }
}
