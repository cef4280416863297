<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Task;
use App\Time\Clock;
use Carbon\CarbonImmutable;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;
use Nekto\Core\Capture\DurationReader;
use Nekto\Core\Capture\Problem;
use Nekto\Core\Pressure\Push;
use Nekto\Core\Task\Demand;
use Nekto\Core\Task\Importance;

/** A task's form, whole or a part of it: what is not sent stays as it is. */
final class TaskRequest extends FormRequest
{
    use KnowsOldText;

    private const DURATIONS = ['estimate', 'left', 'min_chunk', 'max_chunk'];

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $duration = static function (string $name, mixed $value, \Closure $fail): void {
            $read = DurationReader::read((string) $value);
            $read instanceof Problem && $fail(__("gather.problem.{$read->value}"));
        };

        return [
            'title' => ['sometimes', 'required', 'string', 'max:200'],
            'note' => ['sometimes', 'nullable', 'string', 'max:20000', $this->unchangedText($this->task()->note)],
            'area_id' => ['sometimes', 'required', Rule::exists('areas', 'id')->where('user_id', $this->user()?->getAuthIdentifier())],
            'importance' => ['sometimes', 'nullable', Rule::enum(Importance::class)],
            'push' => ['sometimes', 'required', Rule::enum(Push::class)],
            'demand' => ['sometimes', 'required', Rule::enum(Demand::class)],
            'estimate' => ['sometimes', 'nullable', 'string', 'max:40', $duration],
            'left' => ['sometimes', 'nullable', 'string', 'max:40', $duration],
            'min_chunk' => ['sometimes', 'required', 'string', 'max:40', $duration],
            'max_chunk' => ['sometimes', 'required', 'string', 'max:40', $duration],
            'due_date' => ['sometimes', 'nullable', 'date_format:Y-m-d', 'before:2200-01-01'],
            'due_time' => ['sometimes', 'nullable', 'date_format:H:i'],
            'due_hard' => ['sometimes', 'boolean'],
            'not_before' => ['sometimes', 'nullable', 'date_format:Y-m-d', 'before:2200-01-01'],
            'not_before_time' => ['sometimes', 'nullable', 'date_format:H:i'],
            'project_id' => ['sometimes', 'nullable', Rule::exists('projects', 'id')->where('user_id', $this->user()?->getAuthIdentifier())],
            'section_id' => ['sometimes', 'nullable', Rule::exists('sections', 'id')->where('user_id', $this->user()?->getAuthIdentifier())],
            'hours_set_id' => ['sometimes', 'nullable', Rule::exists('hours_sets', 'id')->where('user_id', $this->user()?->getAuthIdentifier())],
            'part' => ['sometimes', 'nullable', 'in:morning,afternoon,evening'],
            'splits' => ['sometimes', 'boolean'],
            'picked_on' => ['sometimes', 'nullable', 'date_format:Y-m-d', 'before:2200-01-01'],
            'waiting_for' => ['sometimes', 'nullable', 'string', 'max:200'],
            'ask_on' => ['sometimes', 'nullable', 'date_format:Y-m-d', 'before:2200-01-01'],
            'contexts' => ['sometimes', 'nullable', 'string', 'max:1000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'title.required' => __('task.title_required'),
            'due_date.date_format' => __('task.unknown_date'),
            'due_time.date_format' => __('task.unknown_time'),
            'not_before.date_format' => __('task.unknown_date'),
            'picked_on.date_format' => __('task.unknown_date'),
            'ask_on.date_format' => __('task.unknown_date'),
            'not_before_time.date_format' => __('task.unknown_time'),
            'due_date.before' => __('task.unknown_date'),
        ];
    }

    /** @return list<\Closure(Validator): void> */
    public function after(): array
    {
        return [function (Validator $validator): void {
            if ($validator->errors()->isNotEmpty()) {
                return;
            }
            $columns = $this->columns();
            $task = $this->task();
            if ($this->filled('due_time') && ! $this->filled('due_date') && ! $this->clearsDue($task)) {
                $validator->errors()->add('due_date', __('task.time_without_date'));
            }
            $due = $this->dueEnd($columns);
            if ($due !== null && $due <= Clock::now() && ! $this->keepsDue($columns, $task)) {
                $validator->errors()->add('due_date', __('gather.problem.before_now'));
            }
            if (($columns['min_chunk'] ?? $task->min_chunk) > ($columns['max_chunk'] ?? $task->max_chunk)) {
                $validator->errors()->add('min_chunk', __('task.chunks'));
            }
        }];
    }

    /** @return array<string, mixed> columns of the tasks table */
    public function columns(): array
    {
        $columns = $this->safe(['title', 'note', 'area_id', 'importance', 'push', 'demand', 'project_id', 'section_id', 'hours_set_id', 'part', 'picked_on', 'waiting_for', 'ask_on']);
        foreach (self::DURATIONS as $name) {
            if ($this->has($name)) {
                $read = $this->filled($name) ? DurationReader::read($this->string($name)->toString()) : null;
                $columns[$name] = is_int($read) ? $read : null;
            }
        }
        if (array_key_exists('left', $columns) && $columns['left'] === $this->task()->left(Clock::now())?->minutes()) {
            unset($columns['left']); // not said anew: it follows the estimate
        }
        foreach (['due_hard', 'splits'] as $name) {
            $this->has($name) && $columns[$name] = $this->boolean($name);
        }
        if ($this->has('due_date')) {
            $columns['due_on'] = $this->filled('due_date') && ! $this->filled('due_time') ? $this->input('due_date') : null;
            $columns['due_at'] = $this->filled('due_date') && $this->filled('due_time') ? $this->local("{$this->input('due_date')} {$this->input('due_time')}") : null;
        }
        if ($this->has('not_before')) {
            $columns['not_before'] = $this->filled('not_before') ? $this->local("{$this->input('not_before')} ".($this->filled('not_before_time') ? $this->input('not_before_time') : '00:00')) : null;
        }

        return $columns;
    }

    /** @return list<string>|null names; null if the form does not speak of them */
    public function contexts(): ?array
    {
        return $this->has('contexts')
            ? array_values(array_unique(array_filter(array_map(static fn (string $name): string => mb_substr(ltrim(trim($name), '@'), 0, 100), explode(',', $this->string('contexts')->toString())), static fn (string $name): bool => $name !== '')))
            : null;
    }

    /** True where only the date was taken away: the time that was there goes with it. */
    private function clearsDue(Task $task): bool
    {
        return $task->due_at !== null && $this->user()?->local($task->due_at)->format('H:i') === $this->input('due_time');
    }

    private function task(): Task
    {
        $task = $this->route('task');

        return $task instanceof Task ? $task : throw new \LogicException('This request belongs to a route with a task.');
    }

    private function local(string $text): CarbonImmutable
    {
        return CarbonImmutable::createFromFormat('Y-m-d H:i', $text, $this->user()?->zone)?->utc() ?? throw new \LogicException('Validated before.');
    }

    /** @param  array<string, mixed>  $columns */
    private function dueEnd(array $columns): ?CarbonImmutable
    {
        return isset($columns['due_on']) ? $this->local("{$columns['due_on']} 23:59") : $columns['due_at'] ?? null;
    }

    /** @param  array<string, mixed>  $columns */
    private function keepsDue(array $columns, Task $task): bool
    {
        return ($columns['due_on'] ?? null) === $task->due_on && ($columns['due_at'] ?? null)?->getTimestamp() === $task->due_at?->getTimestamp();
    }
}
