@php
    use App\Accounts\Agent;
    use App\Http\Controllers\AccountController;
    use App\Wording\Times;
@endphp
<x-layout title="Your account" at="settings">
    <div class="title-row"><h1>Your account</h1><x-says /><span class="soft">{{ $user->email }}</span><span class="end"><a class="button" href="/settings">Settings</a></span></div>
    <div class="columns account">
        <div>
            <section aria-labelledby="password-title" id="password">
                <div class="section-head"><h2 id="password-title">Password</h2></div>
                <form method="post" action="/account/password" data-whole>
                    @csrf @method('put')
                    <input class="sr-only" type="text" name="username" value="{{ $user->email }}" autocomplete="username" readonly tabindex="-1" aria-hidden="true">
                    <div class="form-grid">
                        <x-field name="current_password" label="The present one" type="password" autocomplete="current-password" required />
                        <x-field name="password" id="new-password" label="The new one" type="password" autocomplete="new-password" hint="at least twelve characters" required />
                    </div>
                    <button class="button button-main">Change it</button>
                </form>
            </section>
            <section aria-labelledby="address-title" id="address">
                <div class="section-head"><h2 id="address-title">Address</h2><span class="soft">a letter goes to the new one first</span></div>
                <form method="post" action="/account/address" data-whole>
                    @csrf @method('put')
                    <div class="form-grid">
                        <x-field name="email" label="New mail address" type="email" autocomplete="email" required />
                        <x-own-password form="address" />
                    </div>
                    <button class="button">Send the letter</button>
                </form>
            </section>
            <section aria-labelledby="second-title" id="second">
                <div class="section-head"><h2 id="second-title">Second factor</h2><span class="soft">{{ $user->second_since === null ? 'off' : 'on since '.App\Wording\Dates::of($user)->withMonthAndYear($user->local($user->second_since)).', '.trans_choice('account.recovery_left', count($user->recovery ?? [])) }}</span></div>
                @if (session('recovery'))
                    <p>Each of these lets you in once, if your authenticator is lost. They are shown this once: write them down, or print them.</p>
                    <ul class="codes" aria-label="Recovery codes">@foreach (session('recovery') as $code)<li><code>{{ $code }}</code></li>@endforeach</ul>
                @endif
                @if ($user->second_since !== null)
                    <form method="post" action="/account/second/recovery" class="pair asked" data-whole>@csrf<x-own-password form="recovery" label="Your password, for new recovery codes" /><button class="button">New recovery codes</button></form>
                    <form method="post" action="/account/second" class="pair asked" data-whole>@csrf @method('delete')<x-own-password form="second-end" label="Your password, to ask for no code any more" /><button class="button">Ask for no code any more</button></form>
                @elseif ($code !== null)
                    <div class="second-code">
                        <div class="code-picture" data-code="{{ $code }}" data-own role="img" aria-label="The secret as a square to be read by a camera"></div>
                        <div><p>Read the square with an authenticator, or type this secret into it:</p><p><code class="token">{{ $words }}</code></p>
                            <form method="post" action="/account/second/confirm" class="pair" data-whole>@csrf<input class="field" name="code" inputmode="numeric" autocomplete="one-time-code" placeholder="Its code, six digits" aria-label="The code your authenticator shows" maxlength="10" required><button class="button button-main">Turn it on</button></form>
                            @error('code')<p class="error" role="alert">{{ $message }}</p>@enderror</div>
                    </div>
                @else
                    <p class="soft">After the password a code of six digits is asked for, which changes every thirty seconds; an authenticator on your phone knows it.</p>
                    <form method="post" action="/account/second" class="pair asked" data-whole>@csrf<x-own-password form="second" label="Your password, to set the second factor up" /><button class="button">Set it up</button></form>
                @endif
            </section>
            <section aria-labelledby="files-title">
                <div class="section-head"><h2 id="files-title">Room for files</h2><span class="soft">{{ number_format($room->used / 1_000_000, 1) }} of {{ number_format($room->most / 1_000_000) }} MB</span></div>
                <div class="progress" role="progressbar" aria-label="Room taken by files" aria-valuemin="0" aria-valuemax="100" aria-valuenow="{{ $room->percent() }}"><i style="--w:{{ $room->percent() }}"></i></div>
            </section>
            <section aria-labelledby="leave-title" id="leave">
                <div class="section-head"><h2 id="leave-title">Delete the account</h2></div>
                <p class="soft">It rests for seven days, in which signing in takes it back. Then everything is gone: tasks, plans, meetings, mail and files.</p>
                <form method="post" action="/account" class="pair asked" data-whole>@csrf @method('delete')<x-own-password form="leave" label="Your password, to delete the account" /><button class="button button-warn">Delete my account</button></form>
            </section>
        </div>
        <div>
            <section aria-labelledby="signed-in-title" id="signed-in">
                <div class="section-head"><h2 id="signed-in-title">Where you are signed in</h2></div>
                @foreach ($signIns as $one)
                    <div class="list-row"><span class="grow"><b class="strong">{{ Agent::named($one->agent) }}</b> <span class="soft">{{ $one->address }} · since {{ App\Wording\Dates::of($user)->ofMonth($user->local($one->began_at)) }}, last used {{ Times::when($user, $one->seen_at, $now) }}</span></span>
                        @if ($one->id === $own)<span class="soft">here</span>@endif
                        <form method="post" action="/account/sign-ins/{{ $one->id }}" data-whole>@csrf @method('delete')<button class="button">Sign out</button></form></div>
                @endforeach
                <div class="actions"><form method="post" action="/account/sign-ins" data-whole>@csrf @method('delete')<button class="button">Sign out everywhere else</button></form></div>
                <form method="post" action="/account/idle" class="form-grid" data-whole>@csrf @method('put')
                    <div class="form-row wide"><label for="idle_minutes">Sign me out where I did nothing for</label><span class="pair"><select class="field" id="idle_minutes" name="idle_minutes"><option value="">twelve hours; where I stay signed in, never before {{ App\Accounts\SigningIn::LONGEST_DAYS }} days</option>@foreach (AccountController::IDLE as $minutes)<option value="{{ $minutes }}" @selected($user->idle_minutes === $minutes)>{{ $minutes < 60 ? "{$minutes} minutes" : ($minutes === 60 ? 'an hour' : 'twelve hours, everywhere') }}</option>@endforeach</select><button class="button">Keep</button></span></div>
                </form>
            </section>
            <section aria-labelledby="happened-title">
                <div class="section-head"><h2 id="happened-title">What happened</h2><span class="soft">the newest first</span></div>
                @foreach ($notes as $note)
                    <div class="list-row"><span class="grow">{{ __("account.happened.{$note->kind}", ['about' => $note->kind === 'sign_in_ended' ? Agent::named((string) $note->about) : $note->about]) }} <span class="soft">{{ Agent::named($note->agent) }}, {{ $note->address }}</span></span><span class="soft">{{ Times::when($user, $note->at, $now) }}</span></div>
                @endforeach
                @if ($notes->isEmpty())<div class="empty"><p class="soft">Sign-ins, wrong passwords and changes of these doors will stand here.</p></div>@endif
            </section>
        </div>
    </div>
</x-layout>
