<?php

declare(strict_types=1);

namespace App\Files;

use App\Models\Attachment;
use App\Models\User;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;

/** Keeps files in the application's storage under names of its own. What a file is, its content tells, not its name. */
final class KeepFile
{
    public const MOST_BYTES = 10_000_000;

    private const TYPES = [
        'application/pdf', 'text/plain', 'text/csv', 'text/calendar', 'text/markdown', 'text/html', 'image/png', 'image/jpeg', 'image/gif', 'image/webp', 'message/rfc822',
        'application/zip', 'application/json', 'application/rtf', 'text/rtf', 'application/msword', 'application/vnd.ms-excel', 'application/vnd.ms-powerpoint',
        'application/CDFV2', 'application/x-ole-storage', 'audio/mpeg', 'audio/x-m4a', 'video/mp4', 'image/heic', 'image/tiff',
    ];

    private const PREFIXES = ['application/vnd.openxmlformats-officedocument.', 'application/vnd.oasis.opendocument.', 'text/x-'];

    /** Null if files of its kind are not kept. */
    public function __invoke(User $user, string $content, string $name, ?int $taskId = null, ?int $messageId = null): ?Attachment
    {
        $type = (string) (new \finfo(FILEINFO_MIME_TYPE))->buffer($content);
        if (strlen($content) > self::MOST_BYTES || ! self::isKept($type)) {
            return null;
        }
        $path = "files/{$user->id}/".Str::random(40);
        Storage::put($path, $content);

        return $user->attachments()->create([
            'task_id' => $taskId, 'message_id' => $messageId, 'name' => self::clean($name), 'path' => $path, 'type' => $type, 'size' => strlen($content),
        ]);
    }

    public static function isKept(string $type): bool
    {
        foreach (self::PREFIXES as $prefix) {
            if (str_starts_with($type, $prefix)) {
                return ! in_array($type, ['text/x-php', 'text/x-shellscript'], true);
            }
        }

        return in_array($type, self::TYPES, true);
    }

    /** Without folders, control characters and turns of direction. */
    private static function clean(string $name): string
    {
        $name = trim((string) preg_replace('/[\p{Cc}\x{202A}-\x{202E}\x{2066}-\x{2069}\/\\\\]+/u', ' ', mb_scrub($name)));

        return mb_substr($name === '' || $name === '.' ? 'file' : $name, 0, 200);
    }
}
