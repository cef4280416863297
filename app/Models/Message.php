<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A message of the mailbox.
 *
 * @property int $id
 * @property int $user_id
 * @property string $message_id
 * @property string $from_name
 * @property string $from_address
 * @property string $subject
 * @property string $body plain text
 * @property CarbonImmutable $received_at UTC
 * @property string|null $put_off_until Y-m-d
 * @property string $state new, taken, answered or filed
 * @property int|null $task_id
 * @property int|null $meeting_id which it invites to, or changes
 * @property-read Meeting|null $meeting
 * @property-read Collection<int, Attachment> $attachments
 */
final class Message extends Model
{
    use WakesQuickly;

    public $timestamps = false;

    protected $fillable = ['message_id', 'from_name', 'from_address', 'subject', 'body', 'received_at', 'put_off_until', 'state', 'task_id', 'meeting_id'];

    protected $attributes = ['state' => 'new', 'put_off_until' => null, 'task_id' => null, 'meeting_id' => null];

    /** @return BelongsTo<Meeting, $this> */
    public function meeting(): BelongsTo
    {
        return $this->belongsTo(Meeting::class);
    }

    /** @return HasMany<Attachment, $this> */
    public function attachments(): HasMany
    {
        return $this->hasMany(Attachment::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['received_at' => 'immutable_datetime'];
    }
}
