{{-- Its buttons and fields belong to the form #race, which stands outside of what is replaced. --}}
@php
    use App\Pages\Race\RaceWords;
    use App\Actions\RecordRaceEvent;
    use App\Language\Lists;
    use Skivo\Core\Measurement\Scale;
    $race = $reading->race;
    $unit = $challenge->units->symbol(Scale::Distance);
@endphp
@if ($reading->state->isOver())
    <p class="race-over">
        @if ($reading->state->winner !== null){{ Glyph::of($reading->group($reading->state->winner)->mark) }}
            <strong>{{ Text::of('race.foot.over', ['group' => $reading->name($reading->state->winner)]) }}</strong>
        @else<strong>{{ Text::of('race.foot.shared', ['groups' => Lists::and(array_map($reading->name(...), $reading->firsts()))]) }}</strong>@endif
    </p>
@elseif ($race->ended_at !== null)
    <p class="race-over">{{ Text::of('race.show.has_ended') }}</p>
@elseif ($reading->state->now === [])
    <p class="race-over">{{ Text::of('race.foot.nobody') }}</p>
@endif
@if ($race->ended_at === null)
    @foreach ($reading->state->now as $heat)
        @php($seen = RecordRaceEvent::timesRun($heat))
        <div class="heat-bar" id="bar-{{ $heat->key }}">
            <p class="heat-asks">{{ RaceWords::question($reading, $heat) }}</p>
            <div class="heat-taps">
                @foreach ([[$heat->a, $heat->b], [$heat->b, $heat->a]] as [$entrant, $other])
                    <button class="button do" form="race" data-once name="do" value="won:{{ $heat->key }}:{{ $entrant }}:{{ $other }}:{{ $seen }}"
                        aria-label="{{ Text::of('race.foot.won_label', ['group' => $reading->name($entrant), 'heat' => RaceWords::heat($reading, $heat)]) }}"
                        >{{ Glyph::of($reading->group($entrant)->mark) }}<bdi>{{ \Illuminate\Support\Str::limit($reading->name($entrant), 18) }}</bdi></button>
                @endforeach
                @foreach (['together', 'neither'] as $why)
                    <button class="button" form="race" name="do"
                        value="{{ $why }}:{{ $heat->key }}:{{ $heat->a }}:{{ $heat->b }}:{{ $seen }}">{{ Text::of("race.foot.{$why}") }}</button>
                @endforeach
                @foreach ([[$heat->a, $heat->b], [$heat->b, $heat->a]] as [$entrant, $other])
                    <button class="button plain" form="race" name="do" value="{{ $race->broken_loses
                        ? "broke:{$heat->key}:{$entrant}:{$other}:{$seen}" : "repair:{$entrant}" }}">{{ Text::of($race->broken_loses
                        ? 'race.foot.broke' : 'race.foot.repair', ['group' => \Illuminate\Support\Str::limit($reading->name($entrant), 18)]) }}</button>
                @endforeach
            </div>
            <details class="disclosure heat-measures"><summary>{{ Text::of('race.foot.measured_short') }}</summary>
                <div class="heat-fields">
                    @foreach ([$heat->a, $heat->b] as $entrant)
                        @foreach ($race->takesTimes() ? ['time' => 's', 'distance' => $unit] : ['distance' => $unit] as $what => $in)
                            <label>{{ Text::of("race.foot.{$what}_of", [
                                'group' => \Illuminate\Support\Str::limit($reading->name($entrant), 18), 'unit' => $in]) }}
                                <input class="input num short" form="race" name="{{ $what }}_{{ $heat->key }}_{{ $entrant }}" inputmode="decimal"
                                    autocomplete="off" value="{{ old("{$what}_{$heat->key}_{$entrant}") }}"></label>
                        @endforeach
                    @endforeach
                    <span class="small">{{ Text::of('race.foot.measured') }}</span>
                </div></details>
        </div>
    @endforeach
@endif
@if ($reading->last() !== null)
    <p class="heat-undo"><button class="button plain" form="race" name="do" value="undone:{{ $reading->last()->event_id }}" data-key="u"
        >{{ Text::of('race.history.undo') }}: <bdi>{{ RaceWords::said($reading, $reading->last()) }}</bdi></button></p>
@endif
