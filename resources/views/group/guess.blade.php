@php
    use Skivo\Core\Forecast\Direction;
    use Skivo\Core\Measurement\Scale;
    $units = $challenge->units;
    $try = $own->tries->next();
    $last = $own->lastRun();
    $lastGuess = $last === null ? null : $own->guessOf($last->try);
    $lane = $challenge->lane_length->quantity->si();
    $symbol = $units->symbol(Scale::Distance);
    $most = (int) ceil($units->fromSi($lane, Scale::Distance));
    $held = $own->guess;
    $isChanged = $own->before !== null && $own->path->runs === 0;
@endphp
<x-layout
    :title="$group->name" :challenge="$challenge" :record="$record" :heading="$group->name" :line="$challenge->question ?? $challenge->name" live="page"
    :words="['outbox']">
    <x-path-head :challenge="$challenge" :group="$group" :own="$own" :words="$words" :here="$here" />
    <x-errors />
    <h2>{{ $words->say('guess.lead') }}</h2>
    @if ($last !== null && $lastGuess !== null)<p class="prose mt-1">{{ $words->say('guess.last', [
        'guess' => $units->show($lastGuess->distance->quantity->si(), Scale::Distance), 'went' => $units->show($last->distanceM, Scale::Distance),
    ]) }}</p>@endif
    <form method="post" action="{{ route('path.store', [$challenge, $group]) }}" class="guess-form" data-outbox="follow"
        data-then="{{ route('path.show', [$challenge, $group, 'run']) }}" data-keep="{{ $try }} {{ $held?->distance->text }}">
        @csrf<x-sent-with :units="$units" /><input type="hidden" name="kind" value="guess">
        <div class="guess-tape">
            <label class="sr-only" for="guess-slider">{{ $words->say('guess.lead') }}</label>
            <input type="range" id="guess-slider" class="tape-slider" min="0" max="{{ $most }}" step="1" data-guess-slider
                value="{{ $held === null ? $drawing->middle : round($units->fromSi($held->distance->quantity->si(), Scale::Distance)) }}"
                aria-describedby="guess-unit">
            <x-guess-tape :drawing="$drawing" :mark="$group->mark" />
        </div>
        <div class="form-grid narrow">
            <div class="field"><label for="f-predicted">{{ Text::of('device.group.how_far_will_try_go', ['next_try' => $try]) }}</label>
                <div class="unit-in"><input id="f-predicted" name="predicted" class="input num big-figure" inputmode="decimal" autocomplete="off"
                    value="{{ old('predicted', $held?->distance->text) }}" data-guess-field>
                    <span class="unit" id="guess-unit">{{ $symbol }}</span></div></div>
            <div class="field wide"><label for="f-reason">{{ $words->say('guess.why') }}</label>
                <input id="f-reason" name="reason" class="input" maxlength="500" value="{{ old('reason', $held?->reason) }}"
                    placeholder="{{ Text::of('path.page.reason') }}" data-draft="guess"></div>
        </div>
        @if ($isChanged)
            <fieldset><legend class="field-label">{{ $words->say('guess.changed') }}</legend>
                <div class="quick-ticks">@foreach (Direction::cases() as $direction)<label class="choice">
                    <input type="radio" name="direction" value="{{ $direction->value }}" @checked(old('direction', $held?->direction?->value) ===
                        $direction->value)>
                    <span>{{ $words->say("direction.{$direction->value}") }}</span></label>@endforeach</div></fieldset>
        @endif
        <p><button class="button do">{{ $words->say('guess.go') }}</button></p>
    </form>
    <x-path-foot :challenge="$challenge" :group="$group" :wants="$own->wantsAdult" />
</x-layout>
