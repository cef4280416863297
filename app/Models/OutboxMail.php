<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * A mail that Nekto would have sent.
 *
 * @property int $id
 * @property int $user_id
 * @property string $to
 * @property string $subject
 * @property string $body
 * @property string $source as RFC 5322 has it
 * @property CarbonImmutable $sent_at UTC
 */
final class OutboxMail extends Model
{
    use WakesQuickly;

    public $timestamps = false;

    protected $fillable = ['to', 'subject', 'body', 'source', 'sent_at'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['sent_at' => 'immutable_datetime'];
    }
}
