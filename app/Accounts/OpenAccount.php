<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\User;
use Illuminate\Support\Facades\DB;

/** Opens an account with hours and areas to begin with. */
final readonly class OpenAccount
{
    private const OFFICE = [['09:00', '17:30']];

    private const EVENING = [['17:45', '19:00']];

    public function __invoke(string $name, string $email, string $password, string $zone): User
    {
        return DB::transaction(function () use ($name, $email, $password, $zone): User {
            $user = User::query()->create([
                'name' => $name, 'email' => $email, 'password' => $password, 'zone' => $zone,
                'lunch_from' => 750, 'lunch_to' => 795,
            ]);
            $office = $user->hoursSets()->create([
                'name' => __('settings.office_hours'),
                'week' => array_fill_keys(['mon', 'tue', 'wed', 'thu', 'fri'], self::OFFICE),
                'position' => 0,
            ]);
            $evenings = $user->hoursSets()->create([
                'name' => __('settings.evenings'),
                'week' => array_fill_keys(['mon', 'tue', 'wed', 'thu', 'fri'], self::EVENING),
                'position' => 1,
            ]);
            $user->areas()->create(['name' => __('settings.work'), 'hue' => 'river', 'hours_set_id' => $office->id, 'position' => 0]);
            $user->areas()->create(['name' => __('settings.home'), 'hue' => 'clay', 'hours_set_id' => $evenings->id, 'position' => 1]);

            return $user;
        });
    }
}
