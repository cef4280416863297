<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;

/**
 * One browser in which the person is signed in, or was.
 *
 * @property int $id
 * @property int $user_id
 * @property string $agent what the browser calls itself
 * @property string $address it came from
 * @property bool $stays beyond the browser's closing
 * @property CarbonImmutable $began_at UTC
 * @property CarbonImmutable $seen_at UTC
 * @property CarbonImmutable|null $ended_at UTC
 */
final class SignIn extends Model
{
    use WakesQuickly;

    public $timestamps = false;

    protected $fillable = ['agent', 'address', 'stays', 'began_at', 'seen_at', 'ended_at'];

    /** @param  Builder<self>  $query */
    public function scopeGoing(Builder $query): void
    {
        $query->whereNull('ended_at');
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['stays' => 'boolean', 'began_at' => 'immutable_datetime', 'seen_at' => 'immutable_datetime', 'ended_at' => 'immutable_datetime'];
    }
}
