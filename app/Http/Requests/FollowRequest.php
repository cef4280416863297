<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Calendars\CalendarAddress;
use App\Calendars\Calendars;
use App\Calendars\NotFetched;
use App\Models\Calendar;
use App\Models\CalendarKind;
use App\Models\User;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Validator;

/** The address of a calendar that is to be followed. */
final class FollowRequest extends FormRequest
{
    private ?CalendarAddress $to = null;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['address' => ['required', 'string', 'max:'.CalendarAddress::LONGEST]];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['address.required' => __('calendars.no_address'), 'address.max' => __('calendars.no_address'), 'address.string' => __('calendars.no_address')];
    }

    public function withValidator(Validator $validator): void
    {
        $validator->after(function (Validator $validator): void {
            $user = $this->user();
            if ($validator->errors()->isNotEmpty() || ! $user instanceof User) {
                return;
            }
            try {
                $to = $this->to = CalendarAddress::of($this->string('address')->toString());
            } catch (NotFetched $error) {
                $validator->errors()->add('address', $error->getMessage());

                return;
            }
            $known = $user->calendars()->kept()->where('kind', CalendarKind::Address)->get()->first(static fn (Calendar $one): bool => $one->address === $to->url);
            $known === null || $validator->errors()->add('address', __('calendars.known_address', ['name' => $known->name]));
            Calendars::isFull($user) && $validator->errors()->add('address', __('calendars.too_many', ['count' => Calendars::MOST]));
        });
    }

    public function address(): CalendarAddress
    {
        return $this->to ?? throw new \LogicException('Checked by the rules.');
    }
}
