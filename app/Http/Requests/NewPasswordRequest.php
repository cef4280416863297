<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Accounts\StrongPassword;
use App\Models\User;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** Another password: the present one, unless a letter's link stands for it, and the new one. */
final class NewPasswordRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $user = $this->user();

        return [
            'current_password' => $user instanceof User ? ['required', 'string', 'current_password'] : [],
            'password' => ['required', 'string', new StrongPassword($user instanceof User ? [$user->name, $user->email] : []), Rule::when($user instanceof User, ['different:current_password'])],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['current_password.current_password' => __('account.wrong_password'), 'current_password.required' => __('account.ask_password'), 'password.required' => __('account.ask_new_password'), 'password.different' => __('account.password_same')];
    }
}
