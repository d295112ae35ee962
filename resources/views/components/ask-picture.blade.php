{{-- What is asked, as a picture: less of it beside more; or what it should be better at; or nothing yet. --}}
@props(['attribute' => null, 'outcome' => null])
@use('Skivo\Core\Car\Attribute\CarAttribute')
@use('Skivo\Core\Findings\Outcome')
<svg class="ask-picture" viewBox="0 0 120 56" aria-hidden="true">
    @switch($attribute ?? $outcome)
        @case(CarAttribute::NozzleBore)
            <circle class="tube" cx="34" cy="30" r="11" /><circle class="bore" cx="34" cy="30" r="7" />
            <circle class="tube" cx="84" cy="30" r="20" /><circle class="bore" cx="84" cy="30" r="16" />
            @break
        @case(CarAttribute::NozzleLength)
            <rect class="tube" x="14" y="25" width="28" height="10" /><rect class="tube" x="52" y="25" width="58" height="10" />
            @break
        @case(CarAttribute::BalloonSize)
            <circle class="balloon" cx="30" cy="34" r="12" /><path class="balloon" d="M19 38l-7 3v-6z" />
            <circle class="balloon" cx="86" cy="29" r="24" /><path class="balloon" d="M64 36l-8 4v-8z" />
            @break
        @case(CarAttribute::Balloons)
            <circle class="balloon" cx="32" cy="30" r="17" /><circle class="balloon" cx="76" cy="30" r="17" />
            <circle class="balloon" cx="98" cy="30" r="17" />
            @break
        @case(CarAttribute::Mass)
            <path class="line" d="M10 50h42M66 50h44" /><rect class="body" x="14" y="34" width="34" height="6" />
            <rect class="body" x="70" y="34" width="34" height="6" />
            <circle class="wheel" cx="21" cy="44" r="6" /><circle class="wheel" cx="41" cy="44" r="6" /><circle class="wheel" cx="77" cy="44" r="6" />
            <circle class="wheel" cx="97" cy="44" r="6" /><rect class="load" x="74" y="12" width="26" height="22" />
            <rect class="load" x="27" y="28" width="8" height="6" />
            @break
        @case(CarAttribute::WheelDiameter)
            <path class="line" d="M8 52h104" /><circle class="wheel" cx="32" cy="42" r="10" /><circle class="wheel" cx="82" cy="29" r="23" />
            <circle class="bore" cx="32" cy="42" r="1.6" /><circle class="bore" cx="82" cy="29" r="1.6" />
            @break
        @case(CarAttribute::WheelKind)
            <path class="line" d="M8 52h104" /><circle class="wheel" cx="34" cy="32" r="20" /><circle class="bore" cx="34" cy="32" r="4" />
            <circle class="wheel" cx="86" cy="32" r="20" /><circle class="line" cx="86" cy="32" r="15" />
            <circle class="line" cx="86" cy="32" r="10" />
            @break
        @case(Outcome::Distance)
            <rect class="tape" x="8" y="40" width="104" height="11" /><path class="line" d="M34 40v11M60 40v11M86 40v11M14 26h76" />
            <path class="head" d="M88 19l14 7-14 7z" />
            @break
        @case(Outcome::Time)
            <circle class="wheel" cx="60" cy="31" r="20" /><path class="line" d="M60 31V17M60 31l9 6M60 11V6M55 6h10" />
            @break
        @case(Outcome::Straightness)
            <path class="line dashed" d="M10 28h98" /><path class="line" d="M10 28C44 28 70 30 100 44" /><path class="head" d="M96 36l14 11-17 1z" />
            @break
        @default
            <path class="line" d="M14 46h92" /><path class="body" d="M22 38l10-16h20l8 16z" /><circle class="wheel" cx="32" cy="41" r="5" />
            <circle class="wheel" cx="52" cy="41" r="5" />
            <rect class="body" x="72" y="30" width="30" height="7" /><circle class="wheel" cx="78" cy="40" r="6" />
            <circle class="wheel" cx="96" cy="40" r="6" /><circle class="balloon" cx="88" cy="19" r="11" />
    @endswitch
</svg>
