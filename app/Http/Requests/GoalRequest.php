<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Goals\CycleEdit;
use App\Goals\GoalEdit;
use App\Models\Cycle;
use App\Models\Goal;
use App\Models\MovedBy;
use App\Wording\Dates;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;

/** A goal's form, whole or a part of it; a new one needs a name and a target. A fourth one is questioned. */
final class GoalRequest extends FormRequest
{
    use TypedNumber;

    private const MOST = 1_000_000;

    protected function prepareForValidation(): void
    {
        $this->readNumber('target');
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $needed = $this->isMethod('POST') ? 'required' : 'sometimes';
        $own = static fn (string $table, mixed $user) => Rule::exists($table, 'id')->where('user_id', $user);
        $user = $this->user()?->getAuthIdentifier();

        return [
            'name' => [$needed, 'required', 'string', 'max:120'],
            'purpose' => ['sometimes', 'nullable', 'string', 'max:300'],
            'unit' => ['sometimes', 'nullable', 'string', 'max:60'],
            'target' => [$needed, 'required', 'numeric', 'gt:0', 'max:'.self::MOST],
            'weekly' => ['sometimes', 'boolean'],
            'due_date' => ['sometimes', 'nullable', 'date_format:Y-m-d', 'after:2000-01-01', 'before:2200-01-01'],
            'moved_by' => ['sometimes', 'required', Rule::enum(MovedBy::class)],
            'area_id' => ['sometimes', 'required', $own('areas', $user)],
            'project_id' => ['sometimes', 'nullable', $own('projects', $user)->withoutTrashed()],
            'task_id' => ['sometimes', 'nullable', $own('tasks', $user)->withoutTrashed()],
            'anyway' => ['sometimes', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['name.*' => __('goals.name'), 'target.*' => __('goals.target'), 'due_date.*' => __('task.unknown_date')];
    }

    /** @return list<\Closure(Validator): void> */
    public function after(): array
    {
        return [function (Validator $validator): void {
            if ($validator->errors()->isNotEmpty()) {
                return;
            }
            $cycle = $this->cycle();
            if ($cycle !== null && $this->filled('due_date') && ($this->string('due_date')->toString() < $cycle->begins_on || $this->string('due_date')->toString() > $cycle->span()->last()->asString())) {
                $validator->errors()->add('due_date', __('goals.by_cycle', ['span' => Dates::of($this->user())->span($cycle->span()->first, $cycle->span()->last())]));
            }
            if ($this->enum('moved_by', MovedBy::class) === MovedBy::Subtasks && ! $this->filled('task_id')) {
                $validator->errors()->add('task_id', __('goals.subtasks_of'));
            }
            $count = $this->isMethod('POST') ? $cycle?->goals()->count() ?? 0 : 0;
            if ($count >= GoalEdit::MOST) {
                $validator->errors()->add('name', __('goals.too_many', ['most' => GoalEdit::MOST]));
            } elseif ($count >= Goal::MOST && ! $this->boolean('anyway')) {
                $validator->errors()->add('anyway', __('goals.fourth'));
            }
        }];
    }

    /** @return array<string, mixed> columns of goals */
    public function columns(): array
    {
        $columns = $this->safe(['name', 'purpose', 'target', 'weekly', 'moved_by', 'area_id', 'project_id', 'task_id']);
        $this->has('unit') && $columns['unit'] = trim($this->string('unit')->toString());
        $this->has('due_date') && $columns['due_on'] = $this->input('due_date');

        return $this->isMethod('POST') ? $columns + ['area_id' => $this->user()->usualArea()] : $columns;
    }

    private function cycle(): ?Cycle
    {
        $goal = $this->route('goal');

        return $goal instanceof Goal ? $goal->cycle()->first() : CycleEdit::present($this->user());
    }
}
