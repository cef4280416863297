<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * What the person answered here, to a whole meeting or to one of its instances.
 *
 * @property int $id
 * @property int $user_id
 * @property int $meeting_id
 * @property string $instance as occurrences have it; empty: the whole
 * @property Answer $answer
 * @property Answer|null $instead_of what its source said then
 * @property int $sequence of what was answered
 * @property CarbonImmutable $answered_at UTC
 */
final class GivenAnswer extends Model
{
    use WakesQuickly;

    public $timestamps = false;

    protected $table = 'answers';

    protected $fillable = ['user_id', 'instance', 'answer', 'instead_of', 'sequence', 'answered_at'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['answer' => Answer::class, 'instead_of' => Answer::class, 'sequence' => 'integer', 'answered_at' => 'immutable_datetime'];
    }
}
