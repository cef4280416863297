{{-- Days that each fit, as a difference: what would go where, each to be taken or left. --}}
@props(['balance', 'days', 'here'])
<form class="balance" id="balance" method="post" action="/week/balance">
    @csrf
    <div class="section-head"><h2>Balance the days</h2>@if ($balance->moves !== [])<span class="soft">{{ trans_choice('{1} one block goes elsewhere|[2,*] :count blocks go elsewhere', count($balance->moves)) }}; due dates, anchored and promised work stay</span>@endif</div>
    @error('moves')<p class="error" role="alert">{{ $message }}</p>@enderror
    @if ($balance->moves === [])<p>{{ __($balance->isNeeded ? 'week.balance_none' : 'week.balanced_already') }}</p>@endif
    <ul>
        @foreach ($balance->moves as $move)
            <li><label><input type="checkbox" name="moves[]" value="{{ $move['value'] }}" checked><span class="swatch hue-{{ $move['hue'] }}"></span><span class="title">{{ $move['title'] }}</span><span><span class="was">{{ $move['from'] }}</span> @icon('to') <span class="is">{{ $move['to'] }}</span></span></label></li>
        @endforeach
    </ul>
    @if ($balance->stillOver !== [] && $balance->moves !== [])<p class="coral">{{ __('week.balance_still', ['days' => implode(', ', $balance->stillOver)]) }}</p>@endif
    <div class="row">@if ($balance->moves !== [])<button class="button button-over" data-enter>Take what is marked <kbd>Enter</kbd></button>@endif<a class="button" href="{{ $here }}" data-leave>{{ $balance->moves === [] ? 'Good' : 'Leave it' }} <kbd>Esc</kbd></a></div>
</form>
