{{-- What was to be stored cannot be: in words, and what was typed is given back. --}}
<!doctype html>
<html lang="en" data-theme="auto">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>Nothing can be stored · Nekto</title>
    <link rel="icon" href="/icon.svg" type="image/svg+xml">
    @vite(['resources/css/app.css'])
</head>
<body>
<main class="door page">
    <span class="wordmark">Nekto</span>
    <h1>Nothing can be stored just now.</h1>
    <p>{{ __("app.trouble.{$reason}") }}</p>
    <p class="soft">What had been stored before is safe. Whoever runs Nekto finds the reason in its log.</p>
    @foreach ($words as $word)
        @if ($loop->first)<h2>What you had typed</h2>@endif
        <textarea class="field" readonly rows="{{ min(12, 1 + substr_count($word, "\n") + intdiv(mb_strlen($word), 40)) }}" aria-label="What you had typed">{{ $word }}</textarea>
    @endforeach
    <p class="actions"><a class="button button-main" href="/shape">Try again</a></p>
</main>
</body>
</html>
