{{-- Area by colour, importance by one to four notches. --}}
@props(['importance', 'height' => 40])
<span {{ $attributes->class(['spine', "spine-{$importance}" => $importance > 0, 'spine-mid' => $height < 34 && $height >= 26, 'spine-tight' => $height < 26]) }} aria-hidden="true"></span>
