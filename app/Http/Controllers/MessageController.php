<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Catch\ReadMailbox;
use App\Catch\TaskOfMessage;
use App\Files\UnreadableFile;
use App\Models\Message;
use App\Models\User;
use App\Time\Clock;
use App\Wording\Said;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;

/** The mailbox: reading, making tasks, putting off, filing. */
final readonly class MessageController
{
    public function index(#[CurrentUser] User $user): View
    {
        return view('screens.mailbox', [
            'folder' => ReadMailbox::folder($user),
            'messages' => $user->messages()->withCount('attachments')->orderByDesc('received_at')->limit(200)->get(),
        ]);
    }

    /** Messages brought in by hand, besides those that were dropped into the folder. */
    public function store(Request $request, #[CurrentUser] User $user, ReadMailbox $mailbox): RedirectResponse
    {
        $file = $request->file('file');
        if (! $file instanceof UploadedFile || ! $file->isValid()) {
            return back()->withErrors(['file' => __($file === null ? 'files.choose' : 'files.too_large')]);
        }
        try {
            $new = $mailbox->take($user, (string) $file->getContent(), Clock::now());
        } catch (UnreadableFile $fault) {
            return back()->withErrors(['file' => $fault->getMessage()]);
        }

        return back()->with('status', trans_choice('mail.arrived', $new));
    }

    /** Looks into the folder now. */
    public function fetch(#[CurrentUser] User $user, ReadMailbox $mailbox): RedirectResponse
    {
        $before = $user->messages()->count();
        $faults = $mailbox($user, Clock::now());
        $said = trans_choice('mail.arrived', $user->messages()->count() - $before);

        return back()->with('status', $said)->withErrors($faults === [] ? [] : ['file' => implode(' ', $faults)]);
    }

    public function show(Message $message): View
    {
        return view('screens.message', ['message' => $message->load('attachments')]);
    }

    public function take(Message $message, #[CurrentUser] User $user, TaskOfMessage $take, Said $said): RedirectResponse
    {
        [$task, $revision] = $take($user, $message->load('attachments'), Clock::now());

        return redirect("/gather#item-{$task->id}")->with($said->about($revision, __('mail.taken', ['title' => $task->title])));
    }

    public function putOff(Request $request, Message $message, #[CurrentUser] User $user): RedirectResponse
    {
        $date = $request->string('until')->toString() ?: $request->string('date')->toString();
        $today = $user->local(Clock::now())->format('Y-m-d');
        if (preg_match('/^\d{4}-\d{2}-\d{2}$/D', $date) !== 1 || ! checkdate((int) substr($date, 5, 2), (int) substr($date, 8, 2), (int) substr($date, 0, 4)) || $date < $today) {
            return back()->withErrors(['until' => __('mail.no_day')]);
        }
        $message->update(['put_off_until' => $date]);

        return back()->with('status', __('mail.put_off', ['subject' => $message->subject, 'date' => $date]));
    }

    public function state(Request $request, Message $message): RedirectResponse
    {
        $state = $request->string('state')->toString();
        if (! in_array($state, ['new', 'answered', 'filed'], true)) {
            return back()->withErrors(['until' => __('mail.no_state')]);
        }
        $message->update(['state' => $state, 'put_off_until' => null]);

        return ($state === 'new' ? back() : redirect('/gather#mail'))->with('status', __("mail.{$state}", ['subject' => $message->subject]));
    }
}
