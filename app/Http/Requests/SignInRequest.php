<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Accounts\StrongPassword;
use Illuminate\Foundation\Http\FormRequest;

/** Who signs in. */
final class SignInRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['email' => ['required', 'string', 'email', 'max:200'], 'password' => ['required', 'string', 'max:'.StrongPassword::MOST]];
    }

    public function email(): string
    {
        return $this->string('email')->lower()->toString();
    }

    public function password(): string
    {
        return (string) $this->input('password');
    }
}
