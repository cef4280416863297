<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\User;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** What is only done once the password was typed again; a new address too, where one is asked for. */
final class OwnPasswordRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $address = $this->routeIs('account.address') ? ['email' => ['required', 'string', 'email', 'max:200', Rule::unique(User::class)]] : [];

        return ['own_password' => ['required', 'string', 'current_password'], ...$address];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['own_password.current_password' => __('account.wrong_password'), 'own_password.required' => __('account.ask_password'), 'email.unique' => __('account.address_taken')];
    }

    public function email(): string
    {
        return $this->string('email')->toString();
    }

    protected function prepareForValidation(): void
    {
        $this->has('email') && $this->merge(['email' => strtolower($this->string('email')->trim()->toString())]);
    }
}
