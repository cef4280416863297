<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\OutboxMail;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Response;

/** Mail that Nekto would have sent, to be read in Nekto. */
final readonly class OutboxController
{
    private const SHOWN = 100;

    public function index(#[CurrentUser] User $user): View
    {
        return view('screens.outbox', ['mails' => $user->outboxMails()->latest('id')->limit(self::SHOWN)->get()]);
    }

    public function show(OutboxMail $mail): View
    {
        return view('screens.outbox-mail', ['mail' => $mail]);
    }

    public function source(OutboxMail $mail): Response
    {
        return response($mail->source, 200, ['Content-Type' => 'message/rfc822', 'Content-Disposition' => "attachment; filename=\"nekto-{$mail->id}.eml\""]);
    }
}
