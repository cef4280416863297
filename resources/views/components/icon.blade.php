{{-- The few signs that words cannot replace; always beside a word or a figure. --}}
@props(['name'])
@switch($name)
    @case('anchor')
        <svg {{ $attributes->class('icon') }} width="13" height="14" viewBox="0 0 13 14" stroke-width="1.4" aria-hidden="true"><circle cx="6.5" cy="2.5" r="1.6"/><path d="M6.5 4.2v8.6M3.6 6h5.8M1 8.4c.4 2.8 2.6 4.4 5.5 4.4S11.600 11.200 12 8.400"/></svg>
        @break
    @case('carried')
        <svg {{ $attributes->class('icon') }} width="13" height="12" viewBox="0 0 13 12" stroke-width="1.4" aria-hidden="true"><path d="M1 10C1 4.500 5.500 2.500 10 5.500M10.500 1.500v4.300H6.300"/></svg>
        @break
    @case('to')
        <svg {{ $attributes->class('icon icon-to') }} width="20" height="9" viewBox="0 0 20 9" stroke-width="1.4" aria-hidden="true"><path d="M0 4.500h18M14.500 1l4 3.500-4 3.500"/></svg>
        @break
    @case('before')
        <svg {{ $attributes->class('icon') }} width="12" height="9" viewBox="0 0 12 9" stroke-width="1.4" aria-hidden="true"><path d="M12 4.500H1M4.500 1L1 4.500 4.500 8"/></svg>
        @break
    @case('after')
        <svg {{ $attributes->class('icon') }} width="12" height="9" viewBox="0 0 12 9" stroke-width="1.4" aria-hidden="true"><path d="M0 4.500h11M7.500 1L11 4.500 7.500 8"/></svg>
        @break
    @case('typed')
        <svg {{ $attributes->class('icon') }} width="14" height="14" viewBox="0 0 14 14" stroke-width="1.2" aria-hidden="true"><path d="M3 8.500L9.500 2l2 2L5 10.500l-2.500.5zM2 13h9"/></svg>
        @break
    @case('mail')
        <svg {{ $attributes->class('icon') }} width="14" height="14" viewBox="0 0 14 14" stroke-width="1.2" aria-hidden="true"><path d="M1.500 3h11v8h-11zM1.500 3.500L7 8l5.500-4.500"/></svg>
        @break
    @case('file')
        <svg {{ $attributes->class('icon') }} width="14" height="14" viewBox="0 0 14 14" stroke-width="1.2" aria-hidden="true"><path d="M3 1.500h5l3 3v8H3zM8 1.500v3h3"/></svg>
        @break
    @case('link')
        <svg {{ $attributes->class('icon') }} width="14" height="14" viewBox="0 0 14 14" stroke-width="1.2" aria-hidden="true"><path d="M6 8l-2.500 2.500a1.800 1.800 0 01-2.500-2.500L3.500 5.500A1.800 1.800 0 016 5.500M8 6l2.500-2.500A1.800 1.800 0 0113 6l-2.500 2.500A1.800 1.800 0 018 8.500"/></svg>
        @break
    @case('meeting')
        <svg {{ $attributes->class('icon') }} width="14" height="14" viewBox="0 0 14 14" stroke-width="1.2" aria-hidden="true"><path d="M1.500 2.500h11v9h-11zM1.500 8l5.500-5.500M3 11.500l9.500-9M8.500 11.500l4-4"/></svg>
        @break
@endswitch
