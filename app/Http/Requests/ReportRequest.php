<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Report;
use App\Wording\TypedTime;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** What is told again and again, and when to be reminded of it. */
final class ReportRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:120'],
            'scope' => ['required', Rule::in(Report::SCOPES)],
            'project_id' => ['nullable', 'required_if:scope,project', Rule::exists('projects', 'id')->where('user_id', $this->user()?->getAuthIdentifier())->withoutTrashed()],
            'sections' => ['required', 'array', 'min:1'],
            'sections.*' => [Rule::in(Report::SECTIONS)],
            'to' => ['nullable', 'email', 'max:200'],
            'remind_on' => ['nullable', 'integer', 'between:0,7'],
            'at' => ['nullable', 'string', 'max:20', static function (string $name, mixed $value, \Closure $fail): void {
                TypedTime::minute($value) === null && $fail(__('task.unknown_time'));
            }],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['name.*' => __('report.say_name'), 'project_id.*' => __('report.say_project'), 'sections.*' => __('report.say_sections'), 'to.*' => __('whatif.to_whom')];
    }

    /** @return array<string, mixed> columns of reports */
    public function columns(): array
    {
        return [
            'name' => trim($this->string('name')->toString()), 'scope' => $this->string('scope')->toString(), 'project_id' => $this->input('scope') === 'project' ? $this->integer('project_id') : null,
            'sections' => implode(',', array_intersect(Report::SECTIONS, $this->array('sections'))), 'to' => $this->filled('to') ? $this->string('to')->toString() : null,
            'remind_on' => $this->integer('remind_on') ?: null, 'remind_at' => $this->filled('at') ? TypedTime::minute($this->input('at')) : null,
        ];
    }
}
