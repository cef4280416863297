<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Nekto\Core\Capture\DurationReader;
use Nekto\Core\Capture\Problem;

/** How much of a task is left. */
final class PartDoneRequest extends FormRequest
{
    use ComesWithMark;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [...$this->markRules(), 'left' => ['required', 'string', 'max:40', static function (string $name, mixed $value, \Closure $fail): void {
            $read = DurationReader::read((string) $value);
            $read instanceof Problem && $fail(__("gather.problem.{$read->value}"));
        }]];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['left.required' => __('shape.left_required')];
    }

    /** Minutes. */
    public function left(): int
    {
        $read = DurationReader::read($this->string('left')->toString());

        return is_int($read) ? $read : throw new \LogicException('Validated before.');
    }
}
