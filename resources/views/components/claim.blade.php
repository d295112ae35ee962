{{-- A sentence of the findings with the runs behind it. --}}
@props(['challenge', 'sentence', 'cars' => []])
<li><strong><bdi>{{ $sentence->lead }}</bdi></strong> <bdi>{{ $sentence->rest }}</bdi>@if ($sentence->small !== '')
<span class="small">{{ $sentence->small }}</span>@endif @if ($cars !== [])<x-behind :challenge="$challenge" :cars="$cars" />@endif
</li>
