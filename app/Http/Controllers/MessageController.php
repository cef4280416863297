<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Catch\ReadMailbox;
use App\Catch\TaskOfMessage;
use App\Files\UnreadableFile;
use App\Intake\Intakes;
use App\Models\IntakeStage;
use App\Models\Message;
use App\Models\User;
use App\Time\Clock;
use App\Wording\Dates;
use App\Wording\Said;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Nekto\Core\Time\LocalDay;

/** The mailbox: reading, making tasks, putting off, filing. */
final readonly class MessageController
{
    public function index(#[CurrentUser] User $user): View
    {
        return view('screens.mailbox', [
            'folder' => ReadMailbox::folder($user),
            'intakes' => $user->intakes()->where('kind', 'mail')->where(static fn ($query) => $query->whereIn('stage', [IntakeStage::Waiting, IntakeStage::Taking, IntakeStage::Aside])->orWhere('problems', '!=', '[]'))->latest('id')->limit(5)->get(),
            'messages' => $user->messages()->withCount('attachments')->orderByDesc('received_at')->limit(200)->get(),
        ]);
    }

    /** Messages brought in by hand, besides those that were dropped into the folder. */
    public function store(Request $request, #[CurrentUser] User $user): RedirectResponse
    {
        $file = $request->file('file');
        if (! $file instanceof UploadedFile || ! $file->isValid()) {
            return back()->withErrors(['file' => __($file === null ? 'files.choose' : 'files.too_large')]);
        }
        if (Intakes::isFull($user)) {
            return back()->withErrors(['file' => __('files.too_many', ['count' => Intakes::MOST])]);
        }
        $before = self::last($user);
        try {
            ReadMailbox::begin($user, $file->getClientOriginalName(), (string) $file->getContent());
        } catch (UnreadableFile $fault) {
            return back()->withErrors(['file' => $fault->getMessage()]);
        }

        return back()->with('status', self::said($user, $before));
    }

    /** Looks into the folder now. */
    public function fetch(#[CurrentUser] User $user): RedirectResponse
    {
        $before = self::last($user);
        $faults = ReadMailbox::of($user);

        return back()->with('status', self::said($user, $before))->withErrors($faults === [] ? [] : ['file' => implode(' ', $faults)]);
    }

    private static function last(User $user): int
    {
        return (int) $user->intakes()->max('id');
    }

    /** What has come of the files that were handed over since. */
    private static function said(User $user, int $before): string
    {
        $since = $user->intakes()->where('id', '>', $before);

        return (clone $since)->underWay()->exists() ? __('mail.being_read') : trans_choice('mail.arrived', (int) $since->sum('added'));
    }

    public function show(Message $message): View
    {
        $message->load(['attachments', 'meeting.calendar']);
        $next = $message->meeting?->occurrences()->where('ends_at', '>', Clock::now())->orderBy('starts_at')->first();

        return view('screens.message', ['message' => $message, 'next' => $next, 'isAsked' => $message->meeting?->isAsked() === true]);
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

        return back()->with('status', __('mail.put_off', ['subject' => $message->subject, 'date' => Dates::of($user)->short(LocalDay::fromString($date))]));
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
