{{-- Why cars stopped where they did: push and hold as blocks of equal area, a row a car, on one tape. --}}
@props(['drawing', 'works', 'words', 'units', 'terms' => true])
@use('App\Pages\Findings\WorkDrawing')
@use('Skivo\Core\Measurement\Scale')
<div class="work">
    @foreach ($works as $id => $work)
        @php
            [$group, $car] = $words->cars[(int) $id];
            $push = $drawing->height($work->pushN);
            $hold = $drawing->height($work->holdN);
            [$stretch, $way] = [$drawing->x($work->stretchM), $drawing->x($work->distanceM)];
        @endphp
        <div class="work-row" data-car="{{ $id }}">
            <p class="work-who"><span class="with-mark">{{ Glyph::of($group->mark) }}<bdi
                title="{{ $words->name($id) }}">{{ $words->name($id) }}</bdi></span>
                <span class="small">{{ \App\Language\CarWords::brief($car->choices, $units) }}</span></p>
            <svg class="work-blocks" role="img" aria-label="{{ $terms ? $words->work($work) : $words->workInShort($work) }}">
                <rect class="floor-board" width="100%" height="100%" />
                @foreach ($drawing->lines() as [$at])<line class="grid" x1="{{ $at }}%" x2="{{ $at }}%" y1="0" y2="100%" />@endforeach
                <rect @class(['hold', 'dashed' => WorkDrawing::isDashed($work->hold, $work->distance)])
                    x="0" y="{{ 100 - $hold }}%" width="{{ $way }}%" height="{{ $hold }}%" />
                <rect @class(['push', 'dashed' => WorkDrawing::isDashed($work->push, $work->stretch)])
                    x="0" y="{{ 100 - $push }}%" width="{{ $stretch }}%" height="{{ $push }}%" />
                <svg x="{{ $way }}%" y="100%" overflow="visible"><use class="mark-{{ explode('-', $group->mark)[0] }}"
                    href="#mark-{{ $group->mark }}" x="-10" y="-21" width="20" height="20" /></svg>
            </svg>
            <p class="work-numbers"><span class="num">{{ $units->show($work->distanceM, Scale::Distance) }}</span>
                @if ($terms)<span class="small">{{ $words->forces($work) }}</span>@endif</p>
        </div>
    @endforeach
    <div class="work-row work-tape" aria-hidden="true"><p></p>
        <svg class="tape-strip">
            <rect class="tape-ground" width="100%" height="100%" />
            @foreach ($drawing->lines() as [$at, $value, $isWritten])
                <line class="tape-major" x1="{{ $at }}%" x2="{{ $at }}%" y1="0" y2="{{ $isWritten ? '100%' : '40%' }}" />
                @if ($isWritten)<text class="tape-whole" x="{{ $at }}%" dx="-5" y="18" text-anchor="end">
                    {{ $value }} {{ $units->symbol(Scale::Lane) }}</text>@endif
            @endforeach
        </svg><p></p></div>
    <p class="small mt-2"><span class="work-key push">{{ Text::of($drawing->pushKey()) }}</span>
    <span class="work-key hold">{{ Text::of('findings.work.held_back_all_the_way') }}</span>
    <span class="work-key dashed">{{ Text::of('findings.work.dashed_is_predicted') }}</span></p>
</div>
