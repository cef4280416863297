<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A part of the person's work, with a colour and a set of hours.
 *
 * @property int $id
 * @property int $user_id
 * @property int|null $group_id which calendars and areas it belongs with
 * @property int $hours_set_id
 * @property string $name
 * @property string $hue
 * @property string|null $prompt what the weekly review asks of it; null: what it asks of any
 * @property bool $private left out of reports
 */
final class Area extends Model
{
    use WakesQuickly;

    /** The eight muted hues, in the order in which areas get them. */
    public const HUES = ['river', 'ochre', 'plum', 'steel', 'clay', 'olive', 'heather', 'slate'];

    protected $fillable = ['group_id', 'name', 'hue', 'hours_set_id', 'position', 'prompt', 'private'];

    protected $attributes = ['prompt' => null, 'private' => false];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['private' => 'boolean'];
    }
}
