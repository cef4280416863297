{{-- What is shown where there is no screen to show: in words, with a way on. --}}
<!doctype html>
<html lang="en" data-theme="auto">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>{{ $title }} · Nekto</title>
    <link rel="icon" href="/icon.svg" type="image/svg+xml">
    @vite(['resources/css/app.css'])
</head>
<body>
<main class="door page">
    <span class="wordmark">Nekto</span>
    <h1>{{ $title }}</h1>
    <p class="soft">{{ $text }}</p>
    <p class="actions"><a class="button button-main" href="/shape">To today</a></p>
</main>
</body>
</html>
