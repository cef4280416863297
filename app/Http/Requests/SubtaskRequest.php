<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Nekto\Core\Capture\DurationReader;
use Nekto\Core\Capture\Problem;

/** A change of a task's step: its words, its estimate, done or not, a place up or down. */
final class SubtaskRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'title' => ['sometimes', 'required', 'string', 'max:200'],
            'estimate' => ['sometimes', 'nullable', 'string', 'max:40', static function (string $name, mixed $value, \Closure $fail): void {
                $read = DurationReader::read((string) $value);
                $read instanceof Problem && $fail(__("gather.problem.{$read->value}"));
            }],
            'done' => ['sometimes', 'boolean'],
            'move' => ['sometimes', 'in:up,down'],
        ];
    }

    /** Places, down if positive. */
    public function by(): int
    {
        return ['up' => -1, 'down' => 1][$this->input('move')] ?? 0;
    }

    /** Minutes. */
    public function estimate(): ?int
    {
        $read = $this->filled('estimate') ? DurationReader::read($this->string('estimate')->toString()) : null;

        return is_int($read) ? $read : null;
    }
}
