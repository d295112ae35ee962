@php($mayPlan = auth()->user() instanceof \App\Models\User)
<x-layout
    :title="Text::of('race.show.title', ['kind' => Label::of($reading->race->kind), 'challenge' => $challenge->name])" :challenge="$challenge"
    :record="$record" stage="run" :line="$challenge->question" live :words="['outbox', 'figure']"
    :state="route('races.state', [$challenge, $reading->race], absolute: false)">
    <div class="lead-in">
        <div data-piece="told">@include('race.told')</div>
        <div class="actions no-print">
            @if ($mayPlan)
                <form method="post" action="{{ route('races.update', [$challenge, $reading->race]) }}" class="actions">@csrf @method('put')
                    @if ($reading->race->lot !== null)<button class="button before-a-race" name="do"
                        value="draw">{{ Text::of('race.show.draw_anew') }}</button>@endif
                    <button class="button plain before-a-race" name="do" value="remove">{{ Text::of('race.show.remove') }}</button>
                    <button class="button in-a-race while-a-race" name="do" value="end">{{ Text::of('race.show.end') }}</button>
                    <button class="button in-a-race after-a-race" name="do" value="open">{{ Text::of('race.show.open_again') }}</button>
                </form>
            @endif
            <a class="button plain" href="{{ route('races.index', $challenge) }}">{{ Text::of('race.show.all_races') }}</a>
        </div>
    </div>
    <section aria-label="{{ Text::of('race.show.heats') }}" data-piece="heats">@include('race.heats')</section>
    <div class="split py-6">
        <section data-piece="entrants" aria-labelledby="race-cars">@include('race.entrants')</section>
        <section data-piece="history" aria-labelledby="race-history" class="no-print">@include('race.history')</section>
    </div>
    <details class="disclosure pb-8"><summary>{{ Text::of('race.chances.heading') }}</summary>
        <div class="prose pt-2">@include('race.chances', ['chances' => \App\Pages\Race\RaceOffer::chances($record)])</div></details>
    <x-slot:foot>
        <div class="entry no-print race-foot">
            <div class="page">
                <form id="race" method="post" action="{{ route('races.record', [$challenge, $reading->race]) }}" data-outbox="live">
                    @csrf<x-sent-with :units="$challenge->units" />
                    @error('do')<p class="error" role="alert">{{ $message }}</p>@enderror
                </form>
                <p class="small" data-outbox-says role="status"></p>
                <section aria-label="{{ Text::of('race.foot.label') }}" data-piece="foot">@include('race.foot')</section>
            </div>
        </div>
    </x-slot:foot>
</x-layout>
