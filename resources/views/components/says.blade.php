{{-- The one place for what the page has to say: a line, the latest; the script lays its own beside those drawn here. --}}
@php $moved = isset($mended) && ! request()->routeIs('shape.*') ? [...$mendedLate, ...array_column($mended, 'sentence')] : []; @endphp
<div class="says" id="says" data-own role="status">
    @if (session('status') || $errors->any())
        <div class="say" id="said" data-said data-kind="{{ $errors->any() ? 'error' : 'answer' }}" @if ($errors->any()) role="alert" @endif>
            <p>{{ session('status') ?? $errors->first() }}</p>
            @if (session('offer') !== null)
                <form method="post" action="{{ session('offer')['action'] }}">@csrf @foreach (session('offer')['fields'] as $name => $value)<input type="hidden" name="{{ $name }}" value="{{ $value }}">@endforeach<button class="button">{{ session('offer')['label'] }}</button></form>
            @endif
            @if (session('revision') !== null)<x-undo :revision="session('revision')"><button class="button">Undo <kbd>U</kbd></button></x-undo>@endif
            @if (session('redo') !== null)<x-undo :revision="session('redo')" again><button class="button">Redo <kbd>Shift U</kbd></button></x-undo>@endif
            @foreach (session('kept', []) as $text)<textarea class="field kept-text" readonly rows="{{ min(4, 1 + substr_count($text, "\n")) }}" aria-label="What you had typed">{{ $text }}</textarea>@endforeach
            <button class="close" type="button" aria-label="Close">×</button>
        </div>
    @endif
    @if ($moved !== [])
        <div class="say" id="say-moved" data-said data-kind="moved"><p>@if ($mended !== [])<b>{{ trans_choice('plan.moved_by_itself', count($mended)) }}</b>@endif {{ $moved[0] }}</p>
            <form method="post" action="/plan/seen">@csrf<button class="button">Good</button></form>
            @if ($undo)<x-undo :revision="$undo->id"><button class="button">Undo</button></x-undo>@endif</div>
    @endif
    @isset($notMended)<div class="say" id="say-not-mended" data-said data-kind="error" role="alert"><p>{{ $notMended }}</p></div>@endisset
</div>
