<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Edits\Change;
use App\Edits\ChangeKind;
use App\Edits\CrunchWay;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Nekto\Core\Time\LocalDay;

/** A change as it was shown, and what of it is taken. */
final class ChangeRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'kind' => ['required', Rule::enum(ChangeKind::class)],
            'day' => ['required', 'date_format:Y-m-d', 'after:2000-01-01', 'before:2200-01-01'],
            'tasks' => ['array', 'max:500'],
            'tasks.*' => ['integer'],
            'listed' => ['array', 'max:500'],
            'listed.*' => ['integer'],
            'take' => ['array', 'max:500'],
            'take.*' => ['integer'],
            'way' => ['nullable', 'required_if:kind,way', 'string', 'max:60', 'regex:/^[a-z_]+(:\d+){2,3}$/D'],
            'minutes' => ['nullable', 'integer', 'between:0,1440'],
        ];
    }

    public function day(): LocalDay
    {
        return LocalDay::fromString($this->string('day')->toString());
    }

    public function change(): Change
    {
        return new Change(
            ChangeKind::from($this->string('kind')->toString()),
            tasks: $this->ids('tasks'),
            hold: array_values(array_diff($this->ids('listed'), $this->ids('take'))),
            minutes: $this->integer('minutes'),
            way: CrunchWay::read($this->string('way')->toString()),
        );
    }

    /** @return list<int> */
    private function ids(string $name): array
    {
        return array_values(array_map(static fn (mixed $id): int => (int) $id, $this->array($name)));
    }
}
