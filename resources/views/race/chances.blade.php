{{-- What a race can't show, by this class's own scatter. --}}
@php use App\Pages\Race\RaceWords; @endphp
@if ($chances === null)
    <p class="small">{{ Text::of('race.chances.unknown') }}</p>
@else
    <p>{{ RaceWords::betterLoses($chances) }}</p>
    <p class="pt-2 small">{{ Text::of('race.chances.best_wins') }}</p>
    <dl class="race-chances">@foreach (RaceWords::bestWins($chances, $challenge->tries) as $way => $says)
        <div><dt>{{ $way }}</dt><dd class="num">{{ $says }}</dd></div>@endforeach</dl>
    <p class="small">{{ Text::of('race.chances.how') }}</p>
@endif
