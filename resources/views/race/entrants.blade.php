<h2 id="race-cars">{{ Text::of('race.entrants.heading') }}</h2>
<div class="scroll-x"><table class="figures-table race-table">
    <thead><tr><th scope="col">{{ Text::of('race.entrants.place') }}</th><th scope="col">{{ Text::of('race.entrants.car') }}</th>
        <th scope="col" class="num">{{ Text::of('race.entrants.won') }}</th><th scope="col">{{ Text::of('race.entrants.now') }}</th></tr></thead>
    <tbody>
        @foreach ($reading->table() as $entrant)
            @php($name = $reading->name($entrant))
            <tr>
                <td class="num">{{ $reading->state->places[$entrant] ?? '' }}</td>
                <th scope="row"><span class="with-mark">{{ Glyph::of($reading->group($entrant)->mark) }}<bdi>{{ $name }}</bdi></span></th>
                <td class="num">{{ $reading->state->wins[$entrant] }}</td>
                <td>
                    @if (in_array($entrant, $reading->state->out, true))
                        <span class="small">{{ Text::of('race.entrants.out') }}</span> <button class="button plain" form="race" name="do"
                            value="back:{{ $entrant }}" aria-label="{{ Text::of('race.entrants.back_label', ['group' => $name]) }}"
                            >{{ Text::of('race.entrants.back') }}</button>
                    @elseif (in_array($entrant, $reading->state->repairing, true))
                        <span class="to-mend">{{ Text::of('race.entrants.repairs') }}</span> <button class="button" form="race" name="do"
                            value="ready:{{ $entrant }}" aria-label="{{ Text::of('race.entrants.ready_label', ['group' => $name]) }}"
                            >{{ Text::of('race.entrants.ready') }}</button>
                    @elseif ($reading->isIn($entrant))
                        <button class="button plain" form="race" name="do" value="repair:{{ $entrant }}"
                            aria-label="{{ Text::of('race.entrants.repair_label', ['group' => $name]) }}">{{ Text::of('race.entrants.repair') }}</button>
                        <button class="button plain" form="race" name="do" value="out:{{ $entrant }}"
                            aria-label="{{ Text::of('race.entrants.leave_label', ['group' => $name]) }}">{{ Text::of('race.entrants.leave') }}</button>
                    @endif
                </td>
            </tr>
        @endforeach
    </tbody>
</table></div>
