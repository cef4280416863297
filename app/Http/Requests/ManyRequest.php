<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Edits\DueDay;
use App\Models\Task;
use App\Models\User;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Collection;
use Illuminate\Validation\Rule;
use Nekto\Core\Pressure\Push;
use Nekto\Core\Task\Importance;

/** One change for several tasks: what is left empty stays as it is. */
final class ManyRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'ids' => ['required', 'array', 'max:1000'],
            'ids.*' => ['integer'],
            'importance' => ['nullable', Rule::enum(Importance::class)],
            'push' => ['nullable', Rule::enum(Push::class)],
            'due_date' => ['nullable', 'date_format:Y-m-d', 'before:2200-01-01'],
            'area_id' => ['nullable', Rule::exists('areas', 'id')->where('user_id', $this->user()?->getAuthIdentifier())],
            'project' => ['nullable', 'string', 'max:200'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['ids.required' => __('task.none_chosen'), 'due_date.date_format' => __('task.unknown_date')];
    }

    /** @return Collection<int, Task> */
    public function tasks(User $user): Collection
    {
        return $user->tasks()->whereKey($this->array('ids'))->with(['user', 'area'])->get();
    }

    /** @return \Closure(Task): array<string, mixed> columns of each task */
    public function columns(): \Closure
    {
        return fn (Task $task): array => $this->same() + ($this->filled('due_date') ? DueDay::columns($task, $this->string('due_date')->toString()) : []);
    }

    /** @return array<string, mixed> columns that all of them get */
    private function same(): array
    {
        return array_filter($this->safe(['importance', 'push', 'area_id']), static fn (mixed $value): bool => $value !== null && $value !== '');
    }

    /** The name of the project they go into. */
    public function project(): ?string
    {
        return $this->filled('project') ? $this->string('project')->trim()->toString() : null;
    }
}
