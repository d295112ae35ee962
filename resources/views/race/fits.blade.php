@php use App\Pages\Race\RaceWords; @endphp
@php($chances = \App\Pages\Race\RaceOffer::chances($record))
<div class="split">
    <div>
        @if ($offer->ways() === [])
            <p>{{ Text::of('race.fits.too_few') }}</p>
        @else
            <div class="scroll-x"><table class="figures-table">
                <thead><tr><th scope="col">{{ Text::of('race.fits.way') }}</th><th scope="col" class="num">{{ Text::of('race.fits.heats') }}</th>
                    <th scope="col" class="num">{{ Text::of('race.fits.about') }}</th></tr></thead>
                <tbody>
                    @foreach ($offer->ways() as [$kind, $bestOf, $time])
                        <tr @class(['small' => $time->minutes > $offer->minutes])>
                            <th scope="row">{{ $bestOf === 1 ? Label::of($kind) : Text::of('race.fits.best_of_three', ['kind' => Label::of($kind)]) }}</th>
                            <td class="num">{{ (int) round($time->heats) }}</td>
                            <td class="num">{{ RaceWords::duration($time->minutes) }}@if ($time->minutes > $offer->minutes)
                                <span class="small">({{ Text::of('race.fits.too_long', ['minutes' => $offer->minutes]) }})</span>@endif</td>
                        </tr>
                    @endforeach
                </tbody>
            </table></div>
            <p class="small pt-2">{{ RaceWords::allFit($offer) }}</p>
            @if (($short = RaceWords::fallShort($record, $lengthM)) !== null)<p class="caution mt-2">{{ $short }}</p>@endif
        @endif
    </div>
    <div>
        <h3>{{ Text::of('race.chances.heading') }}</h3>
        @include('race.chances')
    </div>
</div>
