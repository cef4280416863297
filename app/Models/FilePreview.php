<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A file that was read and waits to be taken.
 *
 * @property int $id
 * @property int $user_id
 * @property string $name of the file
 * @property string $format
 * @property string $content UTF-8
 * @property list<string>|null $columns of CSV: what each holds
 */
final class FilePreview extends Model
{
    use WakesQuickly;

    protected $table = 'previews';

    protected $fillable = ['name', 'format', 'content', 'columns'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['columns' => 'array'];
    }
}
