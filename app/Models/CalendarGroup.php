<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A group of calendars and areas, as work or home: shown or hidden as one.
 *
 * @property int $id
 * @property int $user_id
 * @property string $name
 * @property int $position
 */
final class CalendarGroup extends Model
{
    use WakesQuickly;

    public $timestamps = false;

    protected $fillable = ['name', 'position'];

    protected $attributes = ['position' => 0];

    /** @return HasMany<Calendar, $this> */
    public function calendars(): HasMany
    {
        return $this->hasMany(Calendar::class, 'group_id');
    }

    /** @return HasMany<Area, $this> */
    public function areas(): HasMany
    {
        return $this->hasMany(Area::class, 'group_id');
    }
}
