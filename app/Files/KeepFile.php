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

    /** It is of no kind that is kept, or too large. */
    public const NO_KIND = 'kind';

    /** The account's files have no room for it. */
    public const NO_ROOM = 'room';

    /** @return Attachment|self::NO_* */
    public function __invoke(User $user, string $content, string $name, ?int $taskId = null): Attachment|string
    {
        $file = $this->all($user, [['name' => $name, 'content' => $content]])[0];

        return is_string($file) ? $file : $user->attachments()->create([...$file, 'task_id' => $taskId]);
    }

    /**
     * Puts files away; their rows are the caller's, who may be about to write more with them.
     *
     * @param  list<array{name: string, content: string}>  $files
     * @return list<array{name: string, path: string, type: string, size: int}|self::NO_*> in the same order
     */
    public function all(User $user, array $files): array
    {
        $room = null;
        $used = 0;
        $kept = [];
        foreach ($files as ['name' => $name, 'content' => $content]) {
            $size = strlen($content);
            $type = (string) (new \finfo(FILEINFO_MIME_TYPE))->buffer($content);
            if ($size > self::MOST_BYTES || ! self::isKept($type)) {
                $kept[] = self::NO_KIND;
            } elseif (! ($room ??= Quota::of($user))->holds($used + $size)) {
                $kept[] = self::NO_ROOM;
            } else {
                $used += $size;
                $path = "files/{$user->id}/".Str::random(40);
                Storage::put($path, $content);
                $kept[] = ['name' => self::clean($name), 'path' => $path, 'type' => $type, 'size' => $size];
            }
        }

        return $kept;
    }

    /** Deletes an attachment, and its file unless another one has it too. */
    public static function delete(Attachment $attachment): void
    {
        $attachment->delete();
        Attachment::query()->where('path', $attachment->path)->exists() || Storage::delete($attachment->path);
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
