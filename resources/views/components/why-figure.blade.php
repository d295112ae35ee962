{{-- The run just made: two equal arrows, and the energy that empties along the tape. Played once; still where motion is unwanted. --}}
@props(['why', 'words', 'units', 'layout', 'mark'])
@php
    use App\Pages\Build\CarDrawing;
    use App\Pages\Group\GuessTape;
    use Skivo\Core\Measurement\Scale;
    $drawing = new CarDrawing($layout, [], false);
    $tape = new GuessTape($units, max($why->run->distanceM, $why->guessM ?? 0.0));
    $moments = $why->story->moments ?? [];
    $stills = $why->story?->stills() ?? [];
@endphp
<figure class="why-figure" @if ($why->story !== null) data-why="{{ json_encode($moments) }}" @endif>
    <svg class="drawing why-arrows" viewBox="0 0 {{ CarDrawing::WIDTH }} {{ $drawing->height + 40 }}" role="img"
        aria-label="{{ $words->say("why.{$why->drive}.arrows") }}">
        <x-car-side :drawing="$drawing" />
        @if ($why->pushes)<path class="push-arrow" d="M150 {{ $drawing->height + 26 }}H30m0 0l16 -9m-16 9l16 9" />
        <text x="30" y="{{ $drawing->height + 4 }}">{{ $words->say("why.{$why->drive}.back") }}</text>
        <path class="push-arrow forward" d="M410 {{ $drawing->height + 26 }}h120m0 0l-16 -9m16 9l-16 9" />
        <text x="530" y="{{ $drawing->height + 4 }}" text-anchor="end">{{ $words->say("why.{$why->drive}.forward") }}</text>@endif
    </svg>
    @if ($why->story !== null)
        <div class="why-bar" role="img" aria-label="{{ $words->say("why.{$why->drive}.bar") }}" data-why-bar>
            <span class="in-balloon"></span><span class="in-motion"></span><span class="in-warmth"></span></div>
        <p class="why-key small"><span class="in-balloon">{{ $words->say("why.{$why->drive}.still") }}</span><span
            class="in-motion">{{ $words->say('why.moving') }}</span><span class="in-warmth">{{ $words->say('why.warm') }}</span>
            <button type="button" class="button plain no-print" data-why-again hidden>{{ Text::of('path.page.play') }}</button></p>
        <svg class="why-stills" viewBox="0 0 300 {{ 14 * count($stills) }}" preserveAspectRatio="none" aria-hidden="true" data-why-stills>
            @foreach ($stills as $row => $still)
            <rect class="in-balloon" x="0" y="{{ 14 * $row }}" width="{{ 300 * $still['balloon'] }}" height="11" />
            <rect class="in-motion" x="{{ 300 * $still['balloon'] }}" y="{{ 14 * $row }}" width="{{ 300 * $still['moving'] }}" height="11" />
            <rect class="in-warmth" x="{{ 300 * ($still['balloon'] + $still['moving']) }}" y="{{ 14 * $row }}" width="{{ 300 * $still['warm'] }}" height="11" />
            @endforeach</svg>
    @endif
    <div class="why-tape">
        <svg class="why-marks" aria-hidden="true">
            @if ($why->limpM !== null)<line class="limp-line" x1="{{ $tape->x($why->limpM) }}%" x2="{{ $tape->x($why->limpM) }}%" y1="16" y2="100%" />
            <text x="{{ $tape->x($why->limpM) }}%" y="12" text-anchor="middle">{{ $words->say("why.{$why->drive}.over_here") }}</text>@endif
            @if ($why->guessM !== null)<line class="guess-line" x1="{{ $tape->x($why->guessM) }}%" x2="{{ $tape->x($why->guessM) }}%" y1="16" y2="100%" />@endif
            <svg x="{{ $tape->x($why->run->distanceM) }}%" y="22" overflow="visible" data-why-car><use class="mark-{{ explode('-', $mark)[0] }}"
                href="#mark-{{ $mark }}" x="-22" y="-4" width="22" height="22" /></svg>
        </svg>
        <x-guess-tape :drawing="$tape" />
    </div>
</figure>
