<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * Something that happened to an account: a sign-in, a wrong password, a change of the doors.
 *
 * @property int $id
 * @property int $user_id
 * @property string $kind a key of lang/account "happened"
 * @property string|null $about a name or an address
 * @property string $agent what the browser calls itself
 * @property string $address it came from
 * @property CarbonImmutable $at UTC
 */
final class AccountNote extends Model
{
    use WakesQuickly;

    public $timestamps = false;

    protected $fillable = ['kind', 'about', 'agent', 'address', 'at'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['at' => 'immutable_datetime'];
    }
}
