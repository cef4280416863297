{{-- A note as it is meant. --}}
@props(['text'])
<div class="prose">{{ App\Wording\Markdown::html($text) }}</div>
