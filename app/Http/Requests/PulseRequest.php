<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** A window's name for itself (`window`), and which reminders it holds (`held`, keys with commas between). */
final class PulseRequest extends FormRequest
{
    /** More reminders than anybody holds. */
    private const HELD_MOST = 100;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['window' => ['nullable', 'string', 'max:40'], 'held' => ['nullable', 'string', 'max:4000']];
    }

    public function window(): string
    {
        return $this->string('window')->toString();
    }

    /** @return list<string> */
    public function held(): array
    {
        return array_slice(array_filter(explode(',', $this->string('held')->toString())), 0, self::HELD_MOST);
    }
}
