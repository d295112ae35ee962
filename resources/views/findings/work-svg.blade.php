@php
    use App\Pages\Findings\WorkDrawing;
    use Illuminate\Support\Str;
    use Skivo\Core\Measurement\Scale;
    $works = $drawing->sorted($by);
    $foot = WorkDrawing::sheetTop(count($works));
@endphp
<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 1000 {{ $foot + 60 }}" font-family="sans-serif" font-size="14" fill="#17262d">
<title>{{ Text::of('findings.work.why_each_car_stopped_where_it_did') }} · {{ $challenge->name }}</title>
<svg x="190" y="{{ WorkDrawing::SHEET_HEAD }}" width="620" height="{{ $foot - WorkDrawing::SHEET_HEAD }}">
<rect width="100%" height="100%" fill="#e9dcc3" />
@foreach ($drawing->lines() as [$at])<line x1="{{ $at }}%" x2="{{ $at }}%" y1="0" y2="100%" stroke="#d6c49f" />@endforeach
</svg>
@foreach (array_keys($works) as $row => $id)
@php
    $work = $works[$id];
    [$push, $hold] = [$drawing->height($work->pushN), $drawing->height($work->holdN)];
@endphp
<svg y="{{ WorkDrawing::sheetTop($row) }}" height="{{ WorkDrawing::SHEET_ROW }}" overflow="visible">
<text x="178" y="36" text-anchor="end">{{ Str::limit($words->name($id), 24) }}</text>
<svg x="190" width="620" height="{{ WorkDrawing::SHEET_ROW }}" overflow="visible">
<rect y="{{ 100 - $hold }}%" width="{{ $drawing->x($work->distanceM) }}%" height="{{ $hold }}%" fill="#0a626c" fill-opacity="0.36"
    stroke="#0a626c" stroke-width="2" @if (WorkDrawing::isDashed($work->hold, $work->distance)) stroke-dasharray="5 4" @endif />
<rect y="{{ 100 - $push }}%" width="{{ $drawing->x($work->stretchM) }}%" height="{{ $push }}%" fill="#b8300f" fill-opacity="0.32"
    stroke="#b8300f" stroke-width="2" @if (WorkDrawing::isDashed($work->push, $work->stretch)) stroke-dasharray="5 4" @endif />
<line x2="100%" y1="100%" y2="100%" stroke="#47565d" />
</svg>
<text x="824" y="28" font-weight="700">{{ $units->show($work->distanceM, Scale::Distance) }}</text>
<text x="824" y="46" font-size="12">{{ $words->forces($work) }}</text>
</svg>
@endforeach
<path d="M190 {{ WorkDrawing::SHEET_HEAD }}V{{ $foot + 26 }}" stroke="#17262d" stroke-width="5" />
<svg x="190" y="{{ $foot }}" width="620" height="26">
<rect width="100%" height="100%" fill="#f3c534" />
@foreach ($drawing->lines() as [$at, $value, $isWritten])
<line x1="{{ $at }}%" x2="{{ $at }}%" y2="{{ $isWritten ? 26 : 10 }}" stroke="#2a2410" stroke-width="2" />
@if ($isWritten)<text x="{{ $at }}%" dx="-5" y="18" text-anchor="end" font-weight="700"
    fill="#a51d00">{{ $value }} {{ $units->symbol(Scale::Lane) }}</text>@endif
@endforeach
</svg>
<text x="190" y="{{ $foot + 48 }}" font-size="12"><tspan fill="#b8300f">{{ Text::of($drawing->pushKey()) }}</tspan>
    · <tspan fill="#0a626c">{{ Text::of('findings.work.held_back_all_the_way') }}</tspan> · {{ Text::of('findings.work.dashed_is_predicted') }}</text>
</svg>
