{{-- The strip at the foot, where hands are. Sent by the page itself where it can; as a form where it cannot. --}}
@props(['groups', 'only' => null])
@php
    use App\Pages\Run\NextRun;
    use Skivo\Core\Challenge\VoidReason;
    use Skivo\Core\Challenge\Goal;
    use Skivo\Core\Measurement\Scale;
    use Skivo\Core\Measurement\UnitSystem;
    use Skivo\Core\Car\Attribute\EnergySource;
    use Skivo\Core\Car\Attribute\FilledBy;
    use Skivo\Core\Challenge\InflationKind;
    $units = $challenge->units;
    $proposed = $only ?? $floor->proposedGroup();
    $chosen = (string) old('group', $proposed?->id);
    $distance = $units->symbol(Scale::Distance);
    $more = fn (bool $needed) => $needed ? '' : 'more';
    $nextRuns = $floor->nextRuns ?? [];
    $own = $only === null ? null : NextRun::of($record, $only);
    $sources = $only === null ? ($record ?? null)?->sources() ?? [EnergySource::Balloon] : [$only->source()];
    $wound = in_array(EnergySource::ElasticBand, $sources, true);
    $often = array_filter([VoidReason::NoStart, VoidReason::HitSomething, VoidReason::WheelOff, VoidReason::BalloonOff, VoidReason::BandOff],
        fn ($reason) => array_filter($sources, $reason->happensTo(...)) !== []);
    $fills = $more(($record ?? null)?->tellsFills() ?? false);
    $questions = session('questions', []);
    $typedUnits = [];
    foreach (UnitSystem::cases() as $system) {
        $typedUnits[$system->value] = array_map($system->symbol(...), [
            'distance' => Scale::Distance, 'drift' => Scale::Distance, 'limp' => Scale::Distance, 'load' => Scale::Weight, 'inflation_size' => Scale::Body,
        ]);
    }
    // What was answered stays answered, whatever is asked next.
    $confirmed = array_unique(array_filter([...explode(',', (string) old('confirmed')), ...array_keys($questions)]));
@endphp
<div
    class="entry" data-entry data-address="{{ route('runs.store', $challenge, absolute: false) }}"
    data-challenge="{{ $challenge->id }}" @if (auth()->user() instanceof \App\Models\Device) data-sender="{{ \App\Access\Sender::of(auth()->user()) }}" @endif
    data-coming="{{ json_encode($floor->coming()) }}"
    data-units="{{ json_encode($typedUnits) }}">
    <div class="page">
        <div class="entry-errors" role="alert" id="entry-errors" data-entry-errors @if (! $errors->any() && $questions === []) hidden @endif>
            @foreach (array_unique($errors->all()) as $message)<p class="error">{{ $message }}</p>@endforeach
            @foreach ($questions as $question)<p class="question">{{ $question }}</p>@endforeach
            @if ($questions !== [])<p class="small">{{ Text::of('run.entry.if_it_is_right_log_it') }}</p>@endif
        </div>
        <div class="waiting" data-waiting hidden aria-live="polite"></div>
        <p class="small stay-open" data-stay-open hidden>{{ Text::of('run.entry.keep_this_page_open_at_the') }}</p>
        <div class="watch" data-watch hidden>
            <output class="watch-time num" data-watch-time>0.00</output>
            <button type="button" class="button do watch-button" data-watch-button>{{ Text::of('run.entry.start') }}</button>
            <button type="button" class="button" data-watch-reset>{{ Text::of('run.entry.reset') }}</button>
            <p class="small">
                {!! Text::html('run.entry.space_does_the_same_by_hand', [
                    'start_and_stop' => $challenge->timed_length === null ? Text::of('run.entry.start_at_the_release_stop_where') :
                    Text::of('run.entry.start_at_the_release_split_at', ['si' => $units->show($challenge->timed_length->quantity->si(),
                    Scale::Lane)]),
                ]) !!}
            </p>
        </div>
        <form
            id="entry-form" class="entry-form" method="post" action="{{ route('runs.store', $challenge) }}"
            aria-label="{{ Text::of('run.entry.log_a_run') }}" data-timed="{{ $challenge->timed_length === null ? '0' : '1' }}">
            @csrf
            <input type="hidden" name="id" value="{{ \Illuminate\Support\Str::uuid7() }}">
            <input type="hidden" name="confirmed" value="{{ implode(',', $confirmed) }}">
            <input type="hidden" name="readings" value="">
            <input type="hidden" name="typed_in" value="{{ $units->value }}">
            @if ($only !== null)<input type="hidden" name="back" value="group">
                <input
                    type="hidden" name="group" value="{{ $only->id }}" data-practice="{{ $own?->isPractice ? '1' : '' }}"
                    data-try="{{ $own?->words }}" data-as-try="{{ $own?->asTry }}"
                    data-fill="{{ json_encode($own?->fill) }}" data-sweep="{{ $own?->isSweep ? '1' : '' }}">@endif
            @if ($only === null)
                <div class="field">
                    <label for="e-group"><span data-next-word>{{ $floor->isOver ? Text::of('run.entry.all_tries_are_in_an_extra')
                        : Text::of('run.entry.next') }}</span> <span class="next-kind" data-next-try></span>
                    </label>
                    <select id="e-group" name="group" class="input" data-key="g" @error('group') aria-invalid="true" @enderror>
                        @foreach ($groups as $group)
                            <option
                                value="{{ $group->id }}"
                                data-try="{{ $nextRuns[$group->id]->words }}"
                                data-as-try="{{ $nextRuns[$group->id]->asTry }}"
                                data-practice="{{ $nextRuns[$group->id]->isPractice ? '1' : '' }}"
                                data-sweep="{{ $nextRuns[$group->id]->isSweep ? '1' : '' }}"
                                data-fill="{{ json_encode($nextRuns[$group->id]->fill) }}"
                                data-lane="{{ $floor->laneOf($group) }}" @selected($chosen === (string) $group->id)>
                                {{ \Illuminate\Support\Str::limit($group->name, 60) }}</option>
                        @endforeach
                    </select>
                </div>
            @endif
            <div class="field big">
                <label for="e-distance">{{ Text::of('run.entry.stopped_at') }}@if ($only !== null) <span
                    class="next-kind" data-next-try></span>@endif</label>
                <div class="flex gap-1">
                    <div class="unit-in grow">
                        <input
                            id="e-distance" name="distance" class="input num" inputmode="decimal" autocomplete="off" data-key="d"
                            value="{{ old('distance') }}"
                            @if ($errors->has('distance') || isset($questions['distance'])) aria-invalid="true" aria-describedby="entry-errors" @endif>
                        <span class="unit" aria-hidden="true">{{ $distance }}</span>
                    </div>
                </div>
            </div>
            @foreach ([
                ['time', $challenge->timed_length === null ? Text::of('device.group.time') : Text::of('run.time_over', ['length' =>
                $units->show($challenge->timed_length->quantity->si(), Scale::Lane)]), 's', $challenge->isAfter(Goal::Fastest), 't'],
            ] as [$field, $label, $unit, $needed, $key])
                <div class="field {{ $more($needed) }}">
                    <label for="e-{{ $field }}">{{ $label }}</label>
                    <div class="unit-in">
                        <input
                            id="e-{{ $field }}" name="{{ $field }}" class="input num" inputmode="decimal" autocomplete="off"
                            data-key="{{ $key }}" value="{{ old($field) }}"
                            @if ($errors->has($field) || isset($questions[$field])) aria-invalid="true" aria-describedby="entry-errors" @endif>
                        <span class="unit" aria-hidden="true">{{ $unit }}</span></div>
                </div>
            @endforeach
            <div class="field {{ $more($challenge->isAfter(Goal::Straightest)) }}">
                <label for="e-drift">{{ Text::of('run.entry.off_the_line') }}</label>
                <div class="flex gap-1">
                    <div class="unit-in grow">
                        <input
                            id="e-drift" name="drift" class="input num" inputmode="decimal" autocomplete="off"
                            value="{{ old('drift') }}"
                            @if ($errors->has('drift') || isset($questions['drift'])) aria-invalid="true" aria-describedby="entry-errors" @endif>
                        <span class="unit" aria-hidden="true">{{ $distance }}</span></div>
                    <select name="drift_side" class="input w-auto" aria-label="{{ Text::of('run.entry.to_which_side') }}">
                        <option value="left">{{ Text::of('run.entry.left') }}</option>
                        <option value="right" @selected(old('drift_side') === 'right')>{{ Text::of('run.entry.right') }}
                        </option></select>
                </div>
            </div>
            <div class="field {{ $more($challenge->isAfter(Goal::HeaviestLoad)) }}">
                <label for="e-load">{{ Text::of('run.entry.load') }}</label>
                <div class="unit-in">
                    <input
                        id="e-load" name="load" class="input num" inputmode="decimal" autocomplete="off" value="{{ old('load') }}"
                        @error('load') aria-invalid="true" aria-describedby="entry-errors" @enderror>
                    <span class="unit" aria-hidden="true">{{ $units->symbol(Scale::Weight) }}</span></div>
            </div>
            <div class="field more">
                <label for="e-void">{{ Text::of('run.entry.void') }}</label>
                <select id="e-void" name="void" class="input" data-key="v">
                    <option value="">{{ Text::of('run.entry.it_counts') }}</option>
                    @foreach ($challenge->rules()->voidReasons($sources) as $reason)
                        <option value="{{ $reason->value }}" @selected(old('void') === $reason->value)>{{ Label::of($reason) }}</option>
                    @endforeach
                </select>
            </div>
            <div class="field more">
                <label for="e-note">{{ Text::of('run.entry.note') }}</label>
                <input id="e-note" name="note" class="input" autocomplete="off" data-key="n" value="{{ old('note') }}" maxlength="1000">
            </div>
            @foreach ([['total_time', Text::of('run.field.total_time_label'), 's'],
                ['limp', Text::of('run.field.limp_label'), $distance]] as [$field, $label, $unit])
                <div class="field more">
                    <label for="e-{{ $field }}">{{ $label }}</label>
                    <div class="unit-in">
                        <input
                            id="e-{{ $field }}" name="{{ $field }}" class="input num" inputmode="decimal" autocomplete="off"
                            value="{{ old($field) }}"
                            @if ($errors->has($field) || isset($questions[$field])) aria-invalid="true" aria-describedby="entry-errors" @endif>
                        <span class="unit" aria-hidden="true">{{ $unit }}</span></div>
                </div>
            @endforeach
            <div class="field {{ $fills }} fill-kind">
                <label for="e-inflation_kind">{{ Text::of($wound ? 'run.entry.filled_or_wound' : 'run.entry.balloon_filled') }}</label>
                <select id="e-inflation_kind" name="inflation_kind" class="input">
                    <option value="">{{ Text::of('run.entry.not_noted') }}</option>@foreach (InflationKind::of($sources) as $kind)
                    <option value="{{ $kind->value }}" @selected(old('inflation_kind') === $kind->value)>
                        {{ Label::of($kind) }}</option>@endforeach</select>
            </div>
            <div class="field {{ $fills }} fill-size">
                <label for="e-inflation_size">{{ Text::of('run.entry.size_if_measured') }}</label>
                <div class="unit-in">
                    <input
                        id="e-inflation_size" name="inflation_size" class="input num" inputmode="decimal" autocomplete="off"
                        value="{{ old('inflation_size') }}" @error('inflation_size') aria-invalid="true"
                        aria-describedby="entry-errors" @enderror>
                    <span class="unit" aria-hidden="true">{{ $units->symbol(Scale::Body) }}</span></div>
            </div>
            <div class="field {{ $fills }} fill-strokes">
                <label for="e-inflation_strokes">{{ Text::of($wound ? 'run.entry.strokes_or_turns' : 'run.entry.strokes_if_counted') }}</label>
                <input
                    id="e-inflation_strokes" name="inflation_strokes" class="input num" inputmode="numeric" autocomplete="off"
                    value="{{ old('inflation_strokes') }}" @error('inflation_strokes') aria-invalid="true"
                    aria-describedby="entry-errors" @enderror>
            </div>
            <div class="field more">
                <label for="e-filled_by">{{ Text::of('run.entry.filled_by') }}</label>
                <select id="e-filled_by" name="filled_by" class="input">
                    <option value="">{{ Text::of('run.entry.not_noted') }}</option>@foreach (FilledBy::cases() as $by)
                    <option value="{{ $by->value }}" @selected(old('filled_by') === $by->value)>{{ Label::of($by) }}</option>@endforeach</select>
            </div>
            <div class="field more">
                <label for="e-lane">{{ Text::of('run.entry.lane') }}</label>
                <input id="e-lane" name="lane" class="input num" inputmode="numeric" autocomplete="off" value="{{ old('lane') }}">
            </div>
            <div class="field more">
                <label for="e-surface">{{ Text::of('run.entry.other_floor') }}</label>
                <input id="e-surface" name="surface" class="input" autocomplete="off" maxlength="60" value="{{ old('surface') }}"
                    placeholder="{{ $challenge->surface }}">
            </div>
            <div class="field more">
                <label for="e-ramp">{{ Text::of('run.entry.ramp') }}</label>
                <div class="unit-in"><input
                    id="e-ramp" name="ramp" class="input num" inputmode="decimal" autocomplete="off" value="{{ old('ramp') }}"
                    @error('ramp') aria-invalid="true" aria-describedby="entry-errors" @enderror>
                    <span class="unit" aria-hidden="true">{{ $distance }}</span></div>
            </div>
            <button class="button do log">{{ Text::of('run.entry.log_run') }}</button>
        </form>
        <section class="entry-quick" aria-label="{{ Text::of('run.entry.what_happens_most') }}">
            <div class="entry-tools">
                <button type="button" class="button entry-watch" data-watch-open aria-expanded="false"
                    data-key="w">{{ Text::of('run.entry.stopwatch') }}</button>
                <button type="button" class="button entry-more" data-more aria-expanded="false" data-key="m">{{ Text::of('run.entry.more') }}</button>
            </div>
            @foreach ([['past_end', 'p', 'M17 2v16M1 10h25m-6 -6l6 6l-6 6', Text::of('run.entry.past_the_end')],
                ['hit_wall', 'f', 'M24 1v18M1 10h19m-6 -6l6 6l-6 6', Text::of('run.entry.far_wall')]] as [$field, $key, $drawn, $says])
                <label class="button entry-past"><input
                    class="sr-only" type="checkbox" form="entry-form" name="{{ $field }}" value="1" data-key="{{ $key }}"
                    aria-keyshortcuts="{{ $key }}" @checked(old($field))>
                    <svg viewBox="0 0 28 20" aria-hidden="true"><path d="{{ $drawn }}" /></svg>{{ $says }}</label>
            @endforeach
            @foreach ($often as $reason)
                <button class="button" form="entry-form" name="void_now" value="{{ $reason->value }}">{{ ucfirst(Label::of($reason)) }}</button>
            @endforeach
            <label class="button entry-past entry-switch"><input
            class="sr-only" type="checkbox" form="entry-form" name="practice" value="1"
                @checked(old('practice', ($own ?? $nextRuns[$proposed?->id] ?? null)?->isPractice))>{{ Text::of('run.entry.practice') }}</label>
            @if ($only === null && count($floor->lanes) > 1)<label class="entry-lane-hold small">{{ Text::of('run.entry.my_lane') }}
                <select class="input" data-hold-lane><option value="">{{ Text::of('run.entry.every_lane') }}</option>
                    @foreach (array_keys($floor->lanes) as $lane)<option value="{{ $lane }}">{{ $lane }}</option>@endforeach</select></label>@endif
            <span class="small entry-note" data-fill-note role="status"></span>
        </section>
        <p class="small entry-reading" data-reading hidden></p>
    </div>
</div>
