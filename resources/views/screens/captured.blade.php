<!doctype html>
<html lang="en" data-theme="auto">
<head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><title>Caught · Nekto</title><link rel="icon" href="/icon.svg" type="image/svg+xml">@vite(['resources/css/app.css'])</head>
<body><main class="page captured"><p class="wordmark">Nekto</p>
    @if ($task)<h1>Caught.</h1><p class="card-title">{{ $task->title }}</p><p class="soft">It lies in your inbox. This window can be closed.</p>
    @elseif ($known)<h1>Nothing to catch.</h1><p class="soft">The page gave no title, address or words.</p>
    @else<h1>Not caught.</h1><p class="error" role="alert">{{ __('mail.token_unknown') }}</p>@endif
</main></body></html>
