<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * A change of the plan: its change note, and the rows it touched as they were and as they became.
 *
 * @property int $id
 * @property int $user_id
 * @property RevisionCause $cause
 * @property list<array<string, mixed>> $moves
 * @property array<string, list<array{before: array<string, mixed>|null, after: array<string, mixed>|null}>> $rows by table
 * @property CarbonImmutable $made_at
 * @property CarbonImmutable|null $seen_at
 * @property CarbonImmutable|null $undone_at
 */
final class PlanRevision extends Model
{
    public $timestamps = false;

    protected $fillable = ['cause', 'moves', 'rows', 'made_at', 'seen_at', 'undone_at'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'cause' => RevisionCause::class,
            'moves' => 'array',
            'rows' => 'array',
            'made_at' => 'immutable_datetime',
            'seen_at' => 'immutable_datetime',
            'undone_at' => 'immutable_datetime',
        ];
    }
}
