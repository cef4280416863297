<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Edits\DueDay;
use App\Models\Task;
use App\Models\TaskStage;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Nekto\Core\Capture\DurationReader;
use Nekto\Core\Capture\Problem;
use Nekto\Core\Pressure\Answer;
use Nekto\Core\Task\Importance;

/** The card of something that is being weighed. */
final class WeighRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $answers = $this->isPreview() ? [] : ['answer' => ['required', Rule::enum(Answer::class)]];
        $worth = $this->isPreview() || in_array($this->input('answer'), ['let_go', 'hand_off'], true) ? 'nullable' : 'required';

        return $answers + [
            'importance' => [$worth, Rule::enum(Importance::class)],
            'estimate' => ['nullable', 'string', 'max:40', function (string $name, mixed $value, \Closure $fail): void {
                $read = DurationReader::read((string) $value);
                $read instanceof Problem && ! $this->isPreview() && $fail(__("gather.problem.{$read->value}"));
            }],
            'due_date' => ['nullable', 'date_format:Y-m-d', 'before:2200-01-01'],
            'project' => ['nullable', 'string', 'max:200'],
            'waiting_for' => [$this->input('answer') === 'hand_off' ? 'required' : 'nullable', 'string', 'max:200'],
            'ask_on' => ['nullable', 'date_format:Y-m-d', 'before:2200-01-01'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['importance.required' => __('task.weigh_first'), 'due_date.date_format' => __('task.unknown_date'), 'ask_on.date_format' => __('task.unknown_date'), 'waiting_for.required' => __('task.for_whom')];
    }

    public function answer(): Answer
    {
        return Answer::from($this->string('answer')->toString());
    }

    public function letsGo(): bool
    {
        return $this->answer() === Answer::LetGo;
    }

    public function importance(): ?Importance
    {
        return Importance::tryFrom($this->integer('importance'));
    }

    /** @return array{due_on: string|null, due_at: CarbonImmutable|null} */
    public function due(): array
    {
        $task = $this->route('task');

        return DueDay::columns($task instanceof Task ? $task : throw new \LogicException('The route names one.'), $this->filled('due_date') ? $this->string('due_date')->toString() : null);
    }

    public function minutes(): ?int
    {
        $read = $this->filled('estimate') ? DurationReader::read($this->string('estimate')->toString()) : null;

        return is_int($read) ? $read : null;
    }

    /** @return array<string, mixed> columns of the task */
    public function columns(CarbonImmutable $now): array
    {
        $user = $this->user();
        $user instanceof User || throw new \LogicException('Behind the sign-in.');
        $columns = ['importance' => $this->importance(), 'estimate' => $this->minutes()];
        if ($this->has('due_date')) {
            $columns += $this->due();
        }

        return $columns + match ($this->answer()) {
            Answer::DoNow => ['stage' => TaskStage::Open, 'picked_on' => $user->local($now)->format('Y-m-d')],
            Answer::MakeTime => ['stage' => TaskStage::Open],
            default => ['stage' => TaskStage::Waiting, 'waiting_for' => $this->input('waiting_for'), 'ask_on' => $this->input('ask_on')],
        };
    }

    /** The name of the project it goes into. */
    public function project(): ?string
    {
        return $this->string('project')->trim()->toString() ?: null;
    }

    private function isPreview(): bool
    {
        return $this->routeIs('weigh.preview');
    }
}
