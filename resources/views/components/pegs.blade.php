{{-- Steps of a week as pegs on a line: kept ones stand, missed ones hang under it. Words beside them say the same. --}}
@props(['steps', 'small' => false])
<span @class(['pegs', 'pegs-small' => $small]) aria-hidden="true">@foreach ($steps as $one)<i class="peg peg-{{ is_string($one) ? $one : $one->peg() }}"></i>@endforeach</span>
