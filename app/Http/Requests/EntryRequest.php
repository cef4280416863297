<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Entry;
use App\Models\User;
use App\Time\Clock;
use App\Wording\Times;
use Carbon\CarbonImmutable;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;

/** From when to when something was worked on; two entries do not overlap. */
final class EntryRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'day' => ['required', 'date_format:Y-m-d'],
            'from' => ['required', 'date_format:H:i,G:i'],
            'to' => ['required', 'date_format:H:i,G:i'],
            'task_id' => ['nullable', Rule::exists('tasks', 'id')->where('user_id', $this->user()?->getAuthIdentifier())],
            'break' => ['sometimes', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['from.*' => __('task.unknown_time'), 'to.*' => __('task.unknown_time'), 'day.*' => __('task.unknown_date')];
    }

    /** @return list<\Closure(Validator): void> */
    public function after(): array
    {
        return [function (Validator $validator): void {
            if ($validator->errors()->isNotEmpty()) {
                return;
            }
            $columns = $this->columns();
            [$start, $end] = [$columns['starts_at'], $columns['ends_at']];
            if ($end <= $start) {
                $validator->errors()->add('to', __('work.ends_before'));
            } elseif ($end > Clock::now()) {
                $validator->errors()->add('to', __('work.not_yet'));
            } elseif (($other = $this->overlapping($start, $end)) !== null) {
                $task = $other->task_id === null ? null : $this->owner()->tasks()->withTrashed()->find($other->task_id);
                $validator->errors()->add('from', __('work.overlaps', ['when' => Times::range($this->owner(), $other->starts_at, $other->ends_at ?? Clock::now()), 'title' => $task->title ?? __($other->break ? 'work.break' : 'work.other')]));
            }
        }];
    }

    /** @return array{starts_at: CarbonImmutable, ends_at: CarbonImmutable, task_id?: int|null, break?: bool} */
    public function columns(): array
    {
        $at = fn (string $name): CarbonImmutable => CarbonImmutable::createFromFormat('Y-m-d H:i', "{$this->string('day')} {$this->string($name)}", $this->owner()->zone)?->utc() ?? throw new \LogicException('Validated before.');
        $columns = ['starts_at' => $at('from'), 'ends_at' => $at('to')];
        $this->has('task_id') && $columns['task_id'] = $this->filled('task_id') ? $this->integer('task_id') : null;
        $this->has('break') && $columns['break'] = $this->boolean('break');

        return $columns;
    }

    private function overlapping(CarbonImmutable $start, CarbonImmutable $end): ?Entry
    {
        $own = $this->route('entry');

        return $this->owner()->entries()->where('starts_at', '<', $end)->where(static fn ($query) => $query->whereNull('ends_at')->orWhere('ends_at', '>', $start))
            ->whereKeyNot($own instanceof Entry ? $own->id : 0)->first();
    }

    private function owner(): User
    {
        $user = $this->user();

        return $user instanceof User ? $user : throw new \LogicException('Behind the sign-in.');
    }
}
