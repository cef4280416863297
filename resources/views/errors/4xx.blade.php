@php
    [$title, $text] = match ($exception->getStatusCode()) {
        404 => ['There is nothing here.', 'The address leads nowhere, or what it led to is not yours or is gone.'],
        429 => ['Too many tries.', 'Wait a minute, then try again.'],
        default => ['That cannot be done here.', 'Go back and try it from the page it belongs to.'],
    };
@endphp
@include('errors.page')
