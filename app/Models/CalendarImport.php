<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A calendar file that is being taken in, or was.
 *
 * @property int $id
 * @property int $user_id
 * @property string $file_name
 * @property string|null $path
 * @property int $total
 * @property int $taken
 * @property int $added
 * @property int $changed
 * @property list<array{line: int, what: string}> $problems
 * @property CarbonImmutable|null $finished_at
 * @property CarbonImmutable $created_at
 * @property-read User $user
 */
final class CalendarImport extends Model
{
    use WakesQuickly;

    protected $fillable = ['file_name', 'path', 'total', 'taken', 'added', 'changed', 'problems', 'finished_at'];

    protected $attributes = ['taken' => 0, 'added' => 0, 'changed' => 0, 'problems' => '[]'];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['problems' => 'array', 'finished_at' => 'immutable_datetime', 'created_at' => 'immutable_datetime'];
    }
}
