{{-- A choice in which cars differ: what the class says of it, and its cars, small. --}}
@props(['challenge', 'row', 'words', 'most', 'address', 'chosen'])
@php($drawing = new \App\Pages\Findings\ChoiceDrawing($row->effect, $most))
<li class="choice-row" data-choice="{{ $row->factor->value }}" data-verdict="{{ $row->verdict->value }}">
    <a class="choice-name" href="{{ $address }}#one" @if ($chosen) aria-current="true" @endif>{{ Label::title($row->factor) }}</a>
    <svg class="choice-alike" aria-hidden="true">
        @foreach ($drawing->lines() as [$x1, $y1, $x2, $y2, $isRebuilt])<line
            @class(['rebuilt' => $isRebuilt]) x1="{{ $x1 }}%" y1="{{ $y1 }}%" x2="{{ $x2 }}%" y2="{{ $y2 }}%" />@endforeach
        @foreach ($drawing->points() as [$x, $y])<circle cx="{{ $x }}%" cy="{{ $y }}%" r="3.5" />@endforeach
    </svg>
    <p class="choice-said"><strong>{{ $words->effect($row->effect)->lead }}</strong> {{ $words->effect($row->effect)->rest }}
        <x-behind :challenge="$challenge" :cars="$row->effect->cars()" />
        @if ($row->alongWith !== [])<span class="small block">{{ $words->alongWith($row) }}</span>@endif</p>
</li>
