{{-- The strip at the foot, where hands are. Sent by the page itself where it can; as a form where it cannot. --}}
@props(['groups', 'only' => null])
@php
    use App\Reading\FloorState;
    use Skivo\Core\Challenge\Goal;
    use Skivo\Core\Measurement\Scale;
    use Skivo\Core\Measurement\UnitSystem;
    use Skivo\Core\Challenge\InflationKind;
    $units = $challenge->units;
    $proposed = $only ?? $floor->proposedGroup();
    $chosen = (string) old('group', $proposed?->id);
    $distance = $units->symbol(Scale::Distance);
    $more = fn (bool $needed) => $needed ? '' : 'more';
    $questions = session('questions', []);
    $typedUnits = [];
    foreach (UnitSystem::cases() as $system) {
        $typedUnits[$system->value] = array_map($system->symbol(...), [
            'distance' => Scale::Distance, 'drift' => Scale::Distance, 'limp' => Scale::Distance, 'load' => Scale::Weight, 'inflation_size' => Scale::Body,
        ]);
    }
@endphp
<div class="entry" data-entry data-address="{{ route('runs.store', $challenge, absolute: false) }}" data-challenge="{{ $challenge->id }}" data-coming="{{ json_encode($floor->coming()) }}" data-units="{{ json_encode($typedUnits) }}">
    <div class="page">
        <div class="entry-errors" role="alert" id="entry-errors" data-entry-errors @if (! $errors->any() && $questions === []) hidden @endif>
            @foreach (array_unique($errors->all()) as $message)<p class="error">{{ $message }}</p>@endforeach
            @foreach ($questions as $question)<p class="question">{{ $question }}</p>@endforeach
            @if ($questions !== [])<p class="small">If it is right, log it again as it stands.</p>@endif
        </div>
        <div class="waiting" data-waiting hidden aria-live="polite"></div>
        <p class="small stay-open" data-stay-open hidden>Keep this page open at the lane: at this address it can’t be opened again while the network is away. What is typed is kept here and goes when it is back.</p>
        <div class="watch" data-watch hidden>
            <output class="watch-time num" data-watch-time>0.00</output>
            <button type="button" class="button do watch-button" data-watch-button>Start</button>
            <button type="button" class="button" data-watch-reset>Reset</button>
            <p class="small">{{ $challenge->timed_length === null ? 'Start at the release, stop where it stops.' : 'Start at the release, split at ' . $units->show($challenge->timed_length->quantity->si(), Scale::Lane) . ', stop where it stops.' }} <kbd>Space</kbd> does the same. By hand a time is good to about ±&nbsp;0.2&nbsp;s.</p>
        </div>
        <form class="entry-form" method="post" action="{{ route('runs.store', $challenge) }}" aria-label="Log a run" data-timed="{{ $challenge->timed_length === null ? '0' : '1' }}">
            @csrf
            <input type="hidden" name="id" value="{{ \Illuminate\Support\Str::uuid7() }}">
            <input type="hidden" name="confirmed" value="{{ implode(',', array_keys($questions)) }}">
            <input type="hidden" name="readings" value="">
            <input type="hidden" name="typed_in" value="{{ $units->value }}">
            @if ($only !== null)<input type="hidden" name="back" value="group"><input type="hidden" name="group" value="{{ $only->id }}">@endif
            @if ($only === null)
                <div class="field">
                    <label for="e-group"><span data-next-word>{{ $floor->isOver ? 'All tries are in; an extra for' : 'Next' }}</span> <span class="num" data-next-try></span></label>
                    <select id="e-group" name="group" class="input" data-key="g" @error('group') aria-invalid="true" @enderror>
                        @foreach ($groups as $group)
                            <option value="{{ $group->id }}" data-try="{{ FloorState::tryInWords($record->tries($group->currentCar())) }}" data-lane="{{ $floor->laneOf($group) }}" @selected($chosen === (string) $group->id)>{{ \Illuminate\Support\Str::limit($group->name, 60) }}</option>
                        @endforeach
                    </select>
                </div>
            @endif
            <div class="field big">
                <label for="e-distance">Stopped at</label>
                <div class="unit-in">
                    <input id="e-distance" name="distance" class="input num" inputmode="decimal" autocomplete="off" data-key="d" value="{{ old('distance') }}" @if ($errors->has('distance') || isset($questions['distance'])) aria-invalid="true" aria-describedby="entry-errors" @endif>
                    <span class="unit" aria-hidden="true">{{ $distance }}</span>
                </div>
            </div>
            @foreach ([
                ['time', 'Time' . ($challenge->timed_length === null ? '' : ' over ' . $units->show($challenge->timed_length->quantity->si(), Scale::Lane)), 's', $challenge->isAfter(Goal::Fastest), 't'],
            ] as [$field, $label, $unit, $needed, $key])
                <div class="field {{ $more($needed) }}">
                    <label for="e-{{ $field }}">{{ $label }}</label>
                    <div class="unit-in"><input id="e-{{ $field }}" name="{{ $field }}" class="input num" inputmode="decimal" autocomplete="off" data-key="{{ $key }}" value="{{ old($field) }}" @if ($errors->has($field) || isset($questions[$field])) aria-invalid="true" aria-describedby="entry-errors" @endif><span class="unit" aria-hidden="true">{{ $unit }}</span></div>
                </div>
            @endforeach
            <div class="field {{ $more($challenge->isAfter(Goal::Straightest)) }}">
                <label for="e-drift">Off the line</label>
                <div class="flex gap-1">
                    <div class="unit-in grow"><input id="e-drift" name="drift" class="input num" inputmode="decimal" autocomplete="off" value="{{ old('drift') }}" @if ($errors->has('drift') || isset($questions['drift'])) aria-invalid="true" aria-describedby="entry-errors" @endif><span class="unit" aria-hidden="true">{{ $distance }}</span></div>
                    <select name="drift_side" class="input !w-auto" aria-label="To which side"><option value="left">left</option><option value="right" @selected(old('drift_side') === 'right')>right</option></select>
                </div>
            </div>
            <div class="field {{ $more($challenge->isAfter(Goal::HeaviestLoad)) }}">
                <label for="e-load">Load</label>
                <div class="unit-in"><input id="e-load" name="load" class="input num" inputmode="decimal" autocomplete="off" value="{{ old('load') }}" @error('load') aria-invalid="true" aria-describedby="entry-errors" @enderror><span class="unit" aria-hidden="true">{{ $units->symbol(Scale::Weight) }}</span></div>
            </div>
            <div class="field more">
                <label for="e-void">Void?</label>
                <select id="e-void" name="void" class="input" data-key="v">
                    <option value="">it counts</option>
                    @foreach ($challenge->rules()->voidReasons() as $reason)
                        <option value="{{ $reason->value }}" @selected(old('void') === $reason->value)>{{ $reason->value }}</option>
                    @endforeach
                </select>
            </div>
            <div class="field more">
                <label for="e-note">Note</label>
                <input id="e-note" name="note" class="input" autocomplete="off" data-key="n" value="{{ old('note') }}" maxlength="1000">
            </div>
            @foreach ([['total_time', 'Whole run', 's'], ['limp', 'Balloon limp at', $distance]] as [$field, $label, $unit])
                <div class="field more">
                    <label for="e-{{ $field }}">{{ $label }}</label>
                    <div class="unit-in"><input id="e-{{ $field }}" name="{{ $field }}" class="input num" inputmode="decimal" autocomplete="off" value="{{ old($field) }}" @if ($errors->has($field) || isset($questions[$field])) aria-invalid="true" aria-describedby="entry-errors" @endif><span class="unit" aria-hidden="true">{{ $unit }}</span></div>
                </div>
            @endforeach
            <div class="field more">
                <label for="e-inflation_kind">Balloon filled</label>
                <select id="e-inflation_kind" name="inflation_kind" class="input"><option value="">not noted</option>@foreach (InflationKind::cases() as $kind)<option value="{{ $kind->value }}" @selected(old('inflation_kind') === $kind->value)>{{ $kind->label() }}</option>@endforeach</select>
            </div>
            <div class="field more">
                <label for="e-inflation_size">Size, if measured</label>
                <div class="unit-in"><input id="e-inflation_size" name="inflation_size" class="input num" inputmode="decimal" autocomplete="off" value="{{ old('inflation_size') }}" @error('inflation_size') aria-invalid="true" aria-describedby="entry-errors" @enderror><span class="unit" aria-hidden="true">{{ $units->symbol(Scale::Body) }}</span></div>
            </div>
            <div class="field more">
                <label for="e-inflation_strokes">Strokes, if counted</label>
                <input id="e-inflation_strokes" name="inflation_strokes" class="input num" inputmode="numeric" autocomplete="off" value="{{ old('inflation_strokes') }}" @error('inflation_strokes') aria-invalid="true" aria-describedby="entry-errors" @enderror>
            </div>
            <div class="field more">
                <label for="e-lane">Lane</label>
                <input id="e-lane" name="lane" class="input num" inputmode="numeric" autocomplete="off" value="{{ old('lane') }}">
            </div>
            <div class="entry-tools">
                <button type="button" class="button entry-watch" data-watch-open aria-expanded="false" data-key="w">Stopwatch</button>
                <button type="button" class="button entry-more" data-more aria-expanded="false" data-key="m">More</button>
            </div>
            <button class="button do log">Log run</button>
        </form>
        <p class="small entry-reading" data-reading hidden></p>
    </div>
</div>
