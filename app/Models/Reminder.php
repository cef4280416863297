<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * Something the person was, or is just being, reminded of.
 *
 * @property int $id
 * @property int $user_id
 * @property string $key what it is about, once for each person
 * @property string $kind blocks, due, waiting or close
 * @property string $title
 * @property string $body
 * @property string $address where it leads
 * @property CarbonImmutable $at UTC, when it came up
 * @property CarbonImmutable|null $shown_at UTC
 * @property CarbonImmutable|null $mailed_at UTC
 */
final class Reminder extends Model
{
    public $timestamps = false;

    protected $fillable = ['key', 'kind', 'title', 'body', 'address', 'at', 'shown_at', 'mailed_at'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['at' => 'immutable_datetime', 'shown_at' => 'immutable_datetime', 'mailed_at' => 'immutable_datetime'];
    }
}
