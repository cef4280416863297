<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A change of the plan: its change note, and the rows it touched as they were and as they became.
 *
 * @property int $id
 * @property int $user_id
 * @property RevisionCause $cause
 * @property list<array<string, mixed>> $moves
 * @property list<array{task: int, title: string, due: int, at: bool, end: int|null, weight: int, importance: int, hard: bool, was: int}> $late what it made late, the heaviest first
 * @property array<string, list<array{id: int, before: array<string, mixed>|null, after: array<string, mixed>|null}>> $rows by table: the changed columns; of a row that came or went all of them, and null
 * @property array<string, list<array{id: int, before: array<string, mixed>|null, after: array<string, mixed>|null}>>|null $redo what its undo changed
 * @property array{calendar: string, names: list<string>, count: int}|null $went meetings that are no more in their calendar, the first by name
 * @property CarbonImmutable $made_at
 * @property CarbonImmutable|null $seen_at
 * @property CarbonImmutable|null $undone_at
 */
final class PlanRevision extends Model
{
    use WakesQuickly;

    public $timestamps = false;

    /** @var list<RefusedTime> said once, with the change: set times that were another's */
    public array $refusedTimes = [];

    protected $attributes = ['moves' => '[]', 'late' => '[]', 'went' => null];

    protected $fillable = ['cause', 'moves', 'late', 'rows', 'made_at', 'seen_at', 'undone_at', 'redo', 'went'];

    /** @var list<Occurrence> said once, with the change: meetings that lie where the hand has put a block */
    public array $liesOn = [];

    /** @param  list<Occurrence>  $meetings */
    public function lyingOn(array $meetings): self
    {
        $this->liesOn = $meetings;

        return $this;
    }

    /** @param  list<RefusedTime>  $times */
    public function refusing(array $times): self
    {
        $this->refusedTimes = $times;

        return $this;
    }

    /**
     * Changes that were undone and that nothing the person did has followed, the one that was undone last having the
     * smallest id.
     *
     * @return HasMany<self, User>
     */
    public static function redoable(User $user): HasMany
    {
        $last = $user->planRevisions()->whereNull('undone_at')->whereNotIn('cause', [...RevisionCause::AUTOMATIC, RevisionCause::Undone])->toBase()->selectRaw('coalesce(max(id), 0)');

        return $user->planRevisions()->whereNotNull('undone_at')->whereNotNull('redo')->where('id', '>', $last);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'cause' => RevisionCause::class,
            'moves' => 'array',
            'late' => 'array',
            'rows' => 'array',
            'redo' => 'array',
            'went' => 'array',
            'made_at' => 'immutable_datetime',
            'seen_at' => 'immutable_datetime',
            'undone_at' => 'immutable_datetime',
        ];
    }
}
