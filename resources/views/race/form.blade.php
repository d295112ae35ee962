{{-- By which rules, between whom; beside it what that takes (race/fits), worked out anew as the form is filled in. --}}
@php
    use Skivo\Core\Challenge\Limits;
    use Skivo\Core\Measurement\Scale;
    use Skivo\Core\Race\RaceKind;
    $units = $challenge->units;
    $timed = $challenge->timed_length;
    $lengthM = \App\Pages\Race\RaceOffer::lengthM($record);
@endphp
<form method="post" action="{{ route('races.store', $challenge) }}" data-answers="{{ route('races.fits', $challenge) }}">
    @csrf<x-sent-with :units="$units" />
    <x-errors />
    <section class="form-part">
        <h2>{{ Text::of('race.plan.how') }}</h2>
        <fieldset>
            <legend class="sr-only">{{ Text::of('race.plan.how') }}</legend>
            <div class="choices">
                @foreach ([RaceKind::Knockout, RaceKind::RoundRobin, RaceKind::StaysOn, RaceKind::SideBySide] as $kind)
                    @php($hint = Text::of("race.kind_hint.{$kind->value}"))
                    <x-choice name="kind" :value="$kind->value" :checked="$kind === RaceKind::Knockout"
                        :hint="$hint">{{ Label::of($kind) }}</x-choice>
                @endforeach
            </div>
        </fieldset>
    </section>
    <section class="form-part">
        <h2>{{ Text::of('race.plan.who') }}</h2>
        <fieldset>
            <legend class="sr-only">{{ Text::of('race.plan.cars') }}</legend>
            <div class="race-cars" id="f-cars">
                @foreach ($record->groups as $group)
                    <label class="tick with-mark"><input type="checkbox" name="car_{{ $group->id }}" value="1"
                        @checked(old('kind') === null ? ! $group->is_withdrawn : old("car_{$group->id}") !== null)>
                        {{ Glyph::of($group->mark) }}<bdi>{{ $group->name }}</bdi></label>
                @endforeach
            </div>
            @error('cars')<p class="error">{{ $message }}</p>@enderror
        </fieldset>
    </section>
    <section class="form-part">
        <h2>{{ Text::of('race.plan.rules') }}</h2>
        <div class="grid gap-4">
            <div class="race-rules">
                @foreach ([
                    'wins' => [Text::of('race.plan.wins'),
                        ['across' => Text::of('race.plan.across'), 'farther' => Text::of('race.plan.farther')]],
                    'best_of' => [Text::of('race.plan.best_of'), ['1' => Text::of('race.plan.one_heat'), '3' => Text::of('race.plan.two_of_three')]],
                    'order' => [Text::of('race.plan.order'),
                        ['lot' => Text::of('race.plan.by_lot'), 'standings' => Text::of('race.plan.by_standings')]],
                    'broken' => [Text::of('race.plan.broken'), ['time' => Text::of('race.plan.gets_time'), 'loses' => Text::of('race.plan.loses')]],
                ] as $name => [$legend, $options])
                    <fieldset>
                        <legend class="field-label mb-1">{{ $legend }}</legend>
                        <div class="grid gap-2">@foreach ($options as $value => $says)
                            <x-choice :name="$name" :value="(string) $value"
                                :checked="$name === 'wins' && $lengthM === null ? $value === 'farther' : $loop->first">{{ $says }}</x-choice>@endforeach</div>
                    </fieldset>
                @endforeach
            </div>
            <div class="form-grid">
                <x-field name="length" :scale="Scale::Lane" :units="$units" :label="Text::of('race.plan.length')"
                    :value="$lengthM === $timed?->quantity->si() ? $timed?->text : $units->show($lengthM ?? 3.0, Scale::Lane)"
                    :hint="$timed === null ? Text::of('race.plan.length_hint_none')
                        : Text::of('race.plan.length_hint', ['length' => $units->show($timed->quantity->si(), Scale::Lane)])" />
                <x-field name="lot" :label="Text::of('race.plan.lot')" optional inputmode="numeric" :hint="Text::of('race.plan.lot_hint')" />
                <x-field name="repair_min" :label="Text::of('race.plan.repair')" :value="$offer->repairMin" inputmode="decimal"
                    :hint="Text::of('race.plan.repair_hint')" />
                <x-field name="lanes" :label="Text::of('race.plan.lanes')" :value="$offer->lanes" inputmode="numeric" />
                <x-field name="heat_min" :label="Text::of('race.plan.heat_min')" :value="$offer->heatMin" inputmode="decimal" :hint="Text::of('frame.min')" />
                <x-field name="minutes" :label="Text::of('race.plan.minutes')" :value="$offer->minutes" inputmode="numeric" :hint="Text::of('frame.min')" />
            </div>
        </div>
    </section>
    <section class="form-part">
        <h2>{{ Text::of('race.fits.heading') }}</h2>
        <div data-answers-at aria-live="polite">@include('race.fits')</div>
    </section>
    <p class="actions border-t border-rule py-5"><button class="button do">{{ Text::of('race.plan.set_it') }}</button></p>
</form>
