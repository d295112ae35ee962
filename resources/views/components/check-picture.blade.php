{{-- How a test of the check card is done, as a small picture. --}}
@props(['item'])
@use('Skivo\Core\Car\Check\CheckItem')
<svg class="drawing check-picture" viewBox="0 0 240 150" aria-hidden="true">
    @switch($item)
        @case(CheckItem::Spin)
            <circle class="wheel" cx="120" cy="80" r="52" /><circle class="rod" cx="120" cy="80" r="5" />
            <path class="arrow" d="M66 40a70 70 0 0 1 96 -10m0 0l-16 -5m16 5l-3 16" />
            @break
        @case(CheckItem::EndPlay)
            <rect class="straw" x="70" y="66" width="100" height="18" /><rect class="rod" x="26" y="72" width="188" height="6" />
            <rect class="wheel" x="36" y="34" width="16" height="82" /><rect class="wheel" x="188" y="34" width="16" height="82" />
            <path class="arrow" d="M84 122h72m0 0l-11 -8m11 8l-11 8M84 122l11 -8m-11 8l11 8" />
            @break
        @case(CheckItem::Wobble)
            <rect class="wheel" x="92" y="20" width="16" height="110" transform="rotate(7 100 75)" /><rect class="rod" x="40" y="72" width="120" height="6" />
            <path class="arrow" d="M150 30h46m-46 0l10 -8m-10 8l10 8" />
            @break
        @case(CheckItem::Parallel)
            <rect class="card" x="40" y="40" width="160" height="70" /><rect class="rod" x="76" y="22" width="6" height="106" />
            <rect class="rod" x="160" y="22" width="6" height="106" transform="rotate(4 163 75)" />
            <path class="arrow" d="M79 16h82M79 138h88" />
            @break
        @case(CheckItem::Drift)
            <path class="dashed" d="M20 110h200" /><path class="arrow" d="M30 110C90 110 140 96 196 60m0 0l-16 1m16 -1l-8 14" />
            <rect class="card" x="30" y="96" width="34" height="10" /><circle class="wheel" cx="37" cy="108" r="6" /><circle class="wheel" cx="57" cy="108"
                r="6" />
            @break
        @case(CheckItem::Airtight)
            <circle class="skin" cx="150" cy="75" r="56" /><rect class="tube" x="50" y="68" width="52" height="14" />
            <path class="finger" d="M18 108c16 -2 26 -12 32 -24" />
            @break
        @case(CheckItem::BalloonClears)
            <path class="ground" d="M20 130h200" /><circle class="skin" cx="140" cy="70" r="46" /><rect class="card" x="50" y="106" width="90" height="8" />
            <circle class="wheel" cx="68" cy="118" r="11" /><circle class="wheel" cx="122" cy="118" r="11" /><path class="arrow"
                d="M172 128v-20m0 0l-7 9m7 -9l7 9" />
            @break
        @case(CheckItem::NozzleStraight)
            <rect class="tube" x="50" y="62" width="150" height="26" /><circle class="hole" cx="50" cy="75" r="12" /><path class="arrow"
                d="M196 75H90m0 0l14 -9m-14 9l14 9" />
            @break
        @case(CheckItem::BandClear)
            <path class="ground" d="M20 130h200" /><rect class="card" x="40" y="88" width="160" height="8" /><circle class="wheel" cx="64" cy="110" r="20" />
            <circle class="wheel" cx="176" cy="110" r="20" /><circle class="rod" cx="64" cy="110" r="4" /><circle class="rod" cx="176" cy="110" r="4" />
            <path class="elastic" d="M196 70L64 104a6 6 0 1 0 .01 0" /><path class="arrow" d="M150 40v32m0 0l-7 -9m7 9l7 -9" />
            @break
        @case(CheckItem::BandFree)
            <circle class="wheel" cx="90" cy="80" r="44" /><circle class="rod" cx="90" cy="80" r="9" /><path class="elastic" d="M200 40c-30 6 -50 2 -70 18" />
            <path class="arrow" d="M46 50a56 56 0 0 1 40 -26m0 0l-12 -5m12 5l-10 8" />
            @break
        @case(CheckItem::HookHolds)
            <rect class="card" x="30" y="80" width="140" height="10" /><path class="rod" d="M150 80v-22h18v5h-12v17z" />
            <path class="elastic" d="M160 60L40 64" />
            <path class="arrow" d="M150 34H86m0 0l12 -8m-12 8l12 8" />
            @break
        @case(CheckItem::WheelsTight)
            <rect class="rod" x="20" y="72" width="150" height="8" /><rect class="wheel" x="170" y="26" width="20" height="100" />
            <path class="arrow" d="M208 50a40 40 0 0 1 0 52m0 0l1 -14m-1 14l12 -6" /><path class="finger" d="M30 110c20 -4 34 -12 44 -28" />
            @break
        @case(CheckItem::Firm)
            <rect class="card" x="50" y="76" width="130" height="12" /><circle class="wheel" cx="74" cy="100" r="18" /><circle class="wheel" cx="156" cy="100"
                r="18" /><rect class="tube" x="30" y="62" width="110" height="12" /><path class="arrow" d="M100 54V20m0 0l-8 11m8 -11l8 11M70 68H22m0
                0l11 -8m-11 8l11 8" />
            @break
        @case(CheckItem::Height)
            <path class="ground" d="M20 132h200" /><rect class="card" x="86" y="60" width="68" height="52" /><circle class="wheel" cx="98" cy="116" r="15" />
            <circle class="wheel" cx="142" cy="116" r="15" /><path class="arrow" d="M30 66h48m0 0l-11 -8m11 8l-11 8M176 30v84m0 0l-8 -11m8 11l8 -11" />
            @break
        @default
            <rect class="rod" x="30" y="70" width="130" height="9" /><path class="rod pale" d="M172 70h22l30 4.500l-30 4.500h-22z" /><path class="arrow"
                d="M165 40v70" />
    @endswitch
</svg>
