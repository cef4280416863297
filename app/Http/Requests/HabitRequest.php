<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Catch\CaughtLine;
use App\Habits\HabitEdit;
use App\Models\Habit;
use App\Time\Clock;
use App\Time\Moments;
use App\Wording\TypedTime;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;
use Nekto\Core\Capture\DurationReader;
use Nekto\Core\Capture\HabitLine;
use Nekto\Core\Capture\Kind;
use Nekto\Core\Capture\LooseTime;

/** A habit: as a line, or as its form has it. */
final class HabitRequest extends FormRequest
{
    /** Minutes of one that says none. */
    private const USUAL = 30;

    private const LONGEST = 480;

    private const TITLE = 120;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $own = fn (string $table) => Rule::exists($table, 'id')->where('user_id', $this->user()?->getAuthIdentifier());

        return ($this->isNew() ? ['line' => ['required', 'string', 'max:300']] : [
            'title' => ['required', 'string', 'max:'.self::TITLE],
            'minutes' => ['required', 'integer', 'between:5,'.self::LONGEST, 'multiple_of:5'],
            'times' => ['required', 'integer', 'between:1,7'],
            'part' => ['nullable', Rule::in(['morning', 'afternoon', 'evening'])],
            'best' => ['nullable', 'string', 'max:20', static function (string $name, mixed $value, \Closure $fail): void {
                TypedTime::minute($value) === null && $fail(__('task.unknown_time'));
            }],
            'date' => ['sometimes', 'required', 'date_format:Y-m-d', 'after:2000-01-01', 'before:2200-01-01'],
            'due_date' => ['nullable', 'date_format:Y-m-d', 'before:2200-01-01'],
        ]) + ['area_id' => ['sometimes', 'required', $own('areas')], 'goal_id' => ['sometimes', 'nullable', $own('goals')]];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['line.*' => __('goals.habit.unclear'), 'title.*' => __('goals.habit.title'), 'minutes.*' => __('goals.habit.minutes'), 'times.*' => __('goals.habit.times'), 'due_date.*' => __('task.unknown_date'), 'date.*' => __('task.unknown_date')];
    }

    /** @return list<\Closure(Validator): void> */
    public function after(): array
    {
        return [function (Validator $validator): void {
            if ($validator->errors()->isNotEmpty()) {
                return;
            }
            $columns = $this->columns();
            $habit = $this->route('habit');
            $today = Moments::today($this->user(), Clock::now())->asString();
            $field = $this->isNew() ? 'line' : null;
            match (true) {
                $columns['title'] === '', is_int(DurationReader::read($columns['title'])) => $validator->errors()->add($field ?? 'title', __('goals.habit.unclear')),
                mb_strlen($columns['title']) > self::TITLE => $validator->errors()->add($field ?? 'title', __('goals.habit.title')),
                $columns['times'] < 1, $columns['times'] > 7 => $validator->errors()->add($field ?? 'times', __('goals.habit.times')),
                $columns['minutes'] < 5, $columns['minutes'] > self::LONGEST, $columns['minutes'] % 5 !== 0 => $validator->errors()->add($field ?? 'minutes', __('goals.habit.minutes')),
                isset($columns['until']) && $columns['until'] < ($columns['from'] ?? ($habit instanceof Habit ? $habit->from : $today)) => $validator->errors()->add('due_date', __('goals.habit.until')),
                $this->isNew() && $this->user()->habits()->where(static fn ($one) => $one->whereNull('until')->orWhere('until', '>=', $today))->count() >= HabitEdit::MOST => $validator->errors()->add('line', __('goals.habit.too_many', ['most' => HabitEdit::MOST])),
                default => null,
            };
        }];
    }

    /** @return array{title: string, minutes: int, times: int, part: string|null, best_at: int|null, until?: string|null, from?: string, area_id?: int, goal_id?: int|null} columns of habits */
    public function columns(): array
    {
        $more = ($this->filled('area_id') ? ['area_id' => $this->integer('area_id')] : ($this->isNew() ? ['area_id' => $this->user()->usualArea()] : []))
            + ($this->isNew() || ! $this->filled('date') ? [] : ['from' => $this->string('date')->toString()])
            + ($this->has('goal_id') ? ['goal_id' => $this->filled('goal_id') ? $this->integer('goal_id') : null] : []);
        if (! $this->isNew()) {
            $best = $this->filled('best') ? TypedTime::minute($this->input('best')) : null;

            return ['title' => trim($this->string('title')->toString()), 'minutes' => $this->integer('minutes'), 'times' => $this->integer('times'), 'part' => $best === null && $this->filled('part') ? $this->string('part')->toString() : null, 'best_at' => $best, 'until' => $this->filled('due_date') ? $this->string('due_date')->toString() : null] + $more;
        }
        $habit = HabitLine::of($this->string('line')->toString());
        $line = (new CaughtLine($this->user(), Clock::now()))->understand($habit->rest);
        $minute = $line->at()?->minuteOfDay;
        [$title, $minute] = $minute === null ? LooseTime::apart($line->title) : [$line->title, $minute];

        return [
            'title' => trim((string) $title), 'minutes' => $line->minutes() ?? self::USUAL, 'times' => $habit->times, 'part' => $minute === null ? $line->name(Kind::Part) : null, 'best_at' => $minute,
            'until' => $line->due()?->day?->asString(), 'from' => Moments::today($this->user(), Clock::now())->asString(),
        ] + $more;
    }

    private function isNew(): bool
    {
        return ! $this->route('habit') instanceof Habit;
    }
}
