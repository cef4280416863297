<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Files\KeepFile;
use App\Files\Quota;
use App\Http\Requests\LinkRequest;
use App\Models\Attachment;
use App\Models\Link;
use App\Models\Task;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;
use Symfony\Component\HttpFoundation\HeaderUtils;
use Symfony\Component\HttpFoundation\Response;

/** Files and links of tasks. A file is only ever handed out to be saved, never to be run or shown within the page. */
final readonly class AttachmentController
{
    public function store(Request $request, Task $task, #[CurrentUser] User $user, KeepFile $keep): RedirectResponse
    {
        $file = $request->file('file');
        if (! $file instanceof UploadedFile || ! $file->isValid() || $file->getSize() > KeepFile::MOST_BYTES) {
            return back()->withErrors(['file' => __($file === null ? 'files.choose' : 'files.attachment_size')]);
        }
        $kept = $keep($user, (string) $file->getContent(), $file->getClientOriginalName(), taskId: $task->id);

        return match (true) {
            $kept === KeepFile::NO_KIND => back()->withErrors(['file' => __('files.attachment_type')]),
            is_string($kept) => back()->withErrors(['file' => self::noRoom($user)]),
            default => back()->with('status', __('files.attachment_kept', ['name' => $kept->name])),
        };
    }

    public function show(Attachment $attachment): Response
    {
        abort_unless(Storage::exists($attachment->path), 404);
        $ascii = (string) preg_replace('/[^\x20-\x7e]|[%\/\\\\"]/', '_', $attachment->name);

        return response((string) Storage::get($attachment->path), 200, [
            'Content-Type' => 'application/octet-stream',
            'Content-Disposition' => HeaderUtils::makeDisposition('attachment', str_replace(['/', '\\', '%'], '_', $attachment->name), $ascii),
            'Content-Security-Policy' => "default-src 'none'; sandbox",
        ]);
    }

    public function destroy(Attachment $attachment): RedirectResponse
    {
        KeepFile::delete($attachment);

        return back()->with('status', __('files.attachment_gone', ['name' => $attachment->name]));
    }

    public function link(LinkRequest $request, Task $task): RedirectResponse
    {
        $task->links()->create($request->safe(['address', 'title']) + ['user_id' => $task->user_id]);

        return back()->with('status', __('task.link_kept'));
    }

    public function unlink(Link $link): RedirectResponse
    {
        $link->delete();

        return back()->with('status', __('task.link_gone'));
    }

    private static function noRoom(User $user): string
    {
        $room = Quota::of($user);

        return __('files.no_room', ['most' => (string) round($room->most / 1_000_000), 'used' => number_format($room->used / 1_000_000, 1)]);
    }
}
