{{-- The keys of a screen, from the one list. --}}
@props(['on'])
<p class="keys">@foreach (App\Screens\Keys::on($on) as $words => $keys)<span>@foreach ($keys as $key)<span class="key">{{ $key }}</span>@endforeach {{ $words }}</span>@endforeach {{ $slot }}</p>
