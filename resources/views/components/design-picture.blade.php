{{-- How a class goes about its question, as a picture: two kinds of cars beside each other; one car, changed; or all sorts. --}}
@props(['design'])
@use('Skivo\Core\Challenge\Design')
<svg class="ask-picture" viewBox="0 0 120 56" aria-hidden="true">
    @switch($design)
        @case(Design::HalfAndHalf)
            <path class="line dashed" d="M60 6v44" />
            @foreach ([[8, 4], [34, 4], [65, 5.8], [93, 5.8]] as [$x, $r])
                <path class="body" d="M{{ $x }} 30h20v5h-20z" /><circle class="wheel" cx="{{ $x + 3 }}" cy="{{ 43 - $r }}" r="{{ $r }}" />
                <circle class="wheel" cx="{{ $x + 17 }}" cy="{{ 43 - $r }}" r="{{ $r }}" />
            @endforeach
            <path class="line" d="M6 44h46M66 44h48" />
            @break
        @case(Design::ChangeOneThing)
            <path class="body" d="M8 29h34v6H8z" /><circle class="wheel" cx="15" cy="39" r="5" /><circle class="wheel" cx="35" cy="39" r="5" />
            <path class="line" d="M50 28h14" /><path class="head" d="M62 21l10 7-10 7z" />
            <path class="body" d="M78 24h34v6H78z" /><circle class="wheel" cx="85" cy="35" r="9" /><circle class="wheel" cx="105" cy="35" r="9" />
            <path class="line" d="M4 44h42M74 44h42" />
            @break
        @default
            <path class="body" d="M10 22h18l5 9H8z" /><circle class="wheel" cx="14" cy="37" r="7" /><circle class="wheel" cx="29" cy="38" r="6" />
            <path class="body" d="M46 33h28v5H46z" /><circle class="wheel" cx="52" cy="40" r="4" /><circle class="wheel" cx="68" cy="40" r="4" />
            <circle class="balloon" cx="60" cy="22" r="10" />
            <path class="body" d="M86 18h24v12H86z" /><circle class="wheel" cx="92" cy="34" r="10" /><circle class="wheel" cx="108" cy="38" r="6" />
            <path class="line" d="M4 44h112" />
    @endswitch
</svg>
