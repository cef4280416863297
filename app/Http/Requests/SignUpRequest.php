<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Accounts\StrongPassword;
use App\Models\User;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class SignUpRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:100'],
            'email' => ['required', 'string', 'email', 'max:200', Rule::unique(User::class)],
            'password' => ['required', 'string', new StrongPassword([$this->string('name')->toString(), $this->string('email')->toString()])],
            'zone' => ['nullable', 'timezone:all'],
        ];
    }

    /** @return array{name: string, email: string, password: string, zone: string} */
    public function account(): array
    {
        return [
            'name' => $this->string('name')->toString(),
            'email' => $this->string('email')->lower()->toString(),
            'password' => $this->string('password')->toString(),
            'zone' => $this->string('zone')->toString() ?: 'UTC',
        ];
    }

    protected function prepareForValidation(): void
    {
        $this->merge(['email' => strtolower((string) $this->input('email'))]);
    }
}
