<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Edits\Destination;
use App\Models\Task;
use App\Models\User;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Collection;
use Illuminate\Validation\Rule;

/** One task or several, and where they go. */
final class SortRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $date = ['nullable', 'date_format:Y-m-d', 'before:2200-01-01'];

        return [
            'ids' => ['required', 'array', 'max:1000'],
            'ids.*' => ['integer'],
            'to' => ['required', Rule::enum(Destination::class)],
            'project' => ['nullable', 'required_if:to,project', 'string', 'max:200'],
            'waiting_for' => ['nullable', 'required_if:to,waiting', 'string', 'max:200'],
            'ask_on' => $date,
            'return_on' => $date,
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'ids.required' => __('task.none_chosen'), 'project.required_if' => __('task.which_project'), 'waiting_for.required_if' => __('task.for_whom'),
            'ask_on.date_format' => __('task.unknown_date'), 'return_on.date_format' => __('task.unknown_date'),
        ];
    }

    public function destination(): Destination
    {
        return Destination::from($this->string('to')->toString());
    }

    /** @return Collection<int, Task> the person's own of them */
    public function tasks(User $user): Collection
    {
        return $user->tasks()->whereKey($this->array('ids'))->with('user')->orderBy('id')->get();
    }

    /** @return array<string, mixed> columns of tasks */
    public function facts(): array
    {
        return match ($this->destination()) {
            Destination::Waiting => ['waiting_for' => $this->string('waiting_for')->trim()->toString(), 'ask_on' => $this->input('ask_on')],
            Destination::Someday => ['return_on' => $this->input('return_on')],
            default => [],
        };
    }

    /** The name of the project they go into; null where they go elsewhere. */
    public function project(): ?string
    {
        return $this->destination() === Destination::Project ? $this->string('project')->trim()->toString() : null;
    }
}
