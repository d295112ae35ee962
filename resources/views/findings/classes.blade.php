@php
    use App\Pages\Findings\ClassesDrawing;
    $pooled = $reading->pooled;
    $drawing = $pooled === null ? null : new ClassesDrawing($pooled);
    $names = $reading->classes->keyBy('id');
@endphp
<x-layout :title="Text::of('library.classes.title')" :challenge="$challenge" :record="$record" stage="findings" :line="$challenge->question">
    <x-findings-pages :challenge="$challenge" :record="$record" here="classes" />
    <h2>{{ Text::of('library.classes.several_classes') }}</h2>
    <p class="small prose mt-1">{{ Text::of('library.classes.how') }}</p>
    @if ($reading->classes->count() < 2)
        <p class="py-4">{{ Text::of('library.classes.none') }}</p>
    @else
        <form method="get" class="my-4 no-print"><fieldset><legend>{{ Text::of('library.classes.which') }}</legend>
            @foreach ($reading->classes as $class)<label class="tick-line"><input type="checkbox" name="class_{{ $class->id }}" value="1"
                @checked(in_array($class->id, $reading->chosen, true))> <bdi>{{ $class->name }}</bdi>
                <span class="small">{{ $reading->years[$class->id] }}@if (! $class->isOwnedBy(auth()->user())), {{ Text::of('sharing.schools.of',
                    ['name' => $class->user->name]) }}@endif</span></label>@endforeach</fieldset>
            <p class="actions mt-2"><button class="button">{{ Text::of('library.classes.show') }}</button></p></form>
        @if ($pooled === null)
            <p class="py-4">{{ Text::of('library.classes.no_answer') }}</p>
        @else
            @php($answer = $words->answer($pooled))
            <div class="said prose pb-3"><p><strong>{{ $answer->lead }}</strong> {{ $answer->rest }}</p>
                @if ($words->differ($pooled) !== null)<p>{{ $words->differ($pooled) }}</p>@endif
                @if ($words->years() !== null)<p>{{ $words->years() }}</p>@endif</div>
            <figure class="classes-figure">
                <svg viewBox="0 0 {{ ClassesDrawing::WIDTH }} {{ $drawing->height() }}" role="img" aria-label="{{ Text::of('library.classes.figure') }}">
                    <line class="zero" x1="{{ $drawing->x(0) }}" x2="{{ $drawing->x(0) }}" y1="0" y2="{{ $drawing->height() }}" />
                    <text class="zero-name" x="{{ $drawing->x(0) }}" y="{{ $drawing->height() - 4 }}" dx="6">0</text>
                    @foreach (array_keys($pooled->effects) as $index => $id)
                        @php($effect = $pooled->effects[$id])
                        @php([$low, $mean, $high] = $drawing->row($effect))
                        @php($y = $drawing->y($index))
                        <line class="own-range" x1="{{ $low }}" x2="{{ $high }}" y1="{{ $y }}" y2="{{ $y }}" />
                        <circle class="own-dot" cx="{{ $mean }}" cy="{{ $y }}" r="6" />
                        <text x="{{ $mean }}" y="{{ $y }}" dy="-12" text-anchor="middle">{{ \Illuminate\Support\Str::limit($names[$id]->name, 40) }}</text>
                    @endforeach
                    <polygon class="all" points="{{ $drawing->lozenge() }}" />
                </svg>
                <div class="scroll-x" tabindex="0" role="region" aria-label="{{ Text::of('library.classes.figure') }}">
                <table class="figures-table"><thead><tr><th scope="col">{{ Text::of('library.classes.class') }}</th>
                    <th scope="col" class="num">{{ Text::of('library.classes.groups') }}</th>
                    <th scope="col" class="num">{{ Text::of('library.classes.effect', ['least' => $words->value($pooled, $pooled->least),
                        'most' => $words->value($pooled, $pooled->most)]) }}</th>
                    <th scope="col" class="num">{{ Text::of('library.classes.interval') }}</th></tr></thead>
                    <tbody>@foreach ($pooled->effects as $id => $effect)<tr>
                        <td><bdi>{{ $names[$id]->name }}</bdi> <span class="small">{{ $reading->years[$id] }}</span></td>
                        <td class="num">{{ $effect->groups() }}</td>
                        <td class="num">{{ $words->signed($pooled->spanOf($effect), $pooled) }}</td>
                        <td class="num">{{ $words->interval($pooled->intervalOf($effect), $pooled) }}</td></tr>@endforeach
                        <tr><th scope="row">{{ Text::of('library.classes.all') }}</th><td></td>
                            <td class="num">{{ $words->signed($pooled->mean, $pooled) }}</td>
                            <td class="num">{{ $words->interval($pooled->interval, $pooled) }}</td></tr></tbody></table></div>
                <figcaption class="small">{{ Text::of('library.classes.weighted') }}</figcaption>
            </figure>
        @endif
    @endif
</x-layout>
