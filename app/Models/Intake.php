<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A file that is coming in, or came.
 *
 * @property int $id
 * @property int $user_id
 * @property string $kind calendar, message, mail or tasks
 * @property IntakeStage $stage
 * @property string $name of the file
 * @property string|null $format of tasks; of a calendar, whether it is whole
 * @property int|null $calendar_id into which a calendar is taken
 * @property int $gone meetings that are no more in it
 * @property list<string>|null $columns of a table: what each holds
 * @property list<string>|null $header of a table: its headings
 * @property string|null $path the file as it came, in the application's storage
 * @property string|null $parts what it was cut into, a line each
 * @property int $position bytes of the parts that are taken
 * @property int $total parts
 * @property int $taken parts that were looked at
 * @property int $added
 * @property int $changed of a calendar; of tasks, how many were known when it was read
 * @property int $failed parts of a calendar that could not be read; of tasks, lines
 * @property list<array{line: int, what: string}> $problems the first of them
 * @property int $late parts that took too long
 * @property string|null $why it was put aside
 * @property CarbonImmutable|null $finished_at
 * @property CarbonImmutable $created_at
 * @property CarbonImmutable $updated_at
 * @property-read User $user
 * @property-read Calendar|null $calendar
 */
final class Intake extends Model
{
    use WakesQuickly;

    /** Problems that are kept to be shown. */
    private const MOST_PROBLEMS = 200;

    protected $fillable = ['kind', 'stage', 'name', 'format', 'columns', 'header', 'path', 'parts', 'position', 'total', 'taken', 'added', 'changed', 'failed', 'problems', 'late', 'why', 'finished_at', 'calendar_id', 'gone'];

    protected $attributes = ['stage' => 'waiting', 'position' => 0, 'total' => 0, 'taken' => 0, 'added' => 0, 'changed' => 0, 'failed' => 0, 'problems' => '[]', 'late' => 0, 'finished_at' => null, 'path' => null, 'parts' => null, 'columns' => null, 'header' => null, 'format' => null, 'why' => null, 'calendar_id' => null, 'gone' => 0];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<Calendar, $this> */
    public function calendar(): BelongsTo
    {
        return $this->belongsTo(Calendar::class);
    }

    /** @param  Builder<self>  $query */
    public function scopeUnderWay(Builder $query): void
    {
        $query->whereIn('stage', [IntakeStage::Waiting, IntakeStage::Taking]);
    }

    /** What could not be read: a part of the file, which is none of those that are as they were. */
    public function fail(int $line, string $what): void
    {
        $this->failed++;
        $this->note($line, $what);
    }

    /** What was left out, a line or a file of a message, while its part was taken. */
    public function note(int $line, string $what): void
    {
        count($this->problems) < self::MOST_PROBLEMS && $this->problems = [...$this->problems, ['line' => $line, 'what' => $what]];
    }

    /** Parts that were looked at and were known just so. */
    public function same(): int
    {
        return max(0, $this->taken - $this->added - ($this->kind === 'calendar' ? $this->changed + $this->failed : 0));
    }

    public function percent(): int
    {
        return $this->total === 0 ? ($this->stage === IntakeStage::Finished ? 100 : 0) : (int) floor(100 * $this->taken / $this->total);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['stage' => IntakeStage::class, 'columns' => 'array', 'header' => 'array', 'problems' => 'array', 'finished_at' => 'immutable_datetime', 'created_at' => 'immutable_datetime', 'updated_at' => 'immutable_datetime'];
    }
}
