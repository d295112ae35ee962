@php
    use App\Language\CarWords;
    use App\Language\RunWords;
    use Skivo\Core\Measurement\Scale;
    $units = $challenge->units;
    $car = $group->currentCar();
    $locked = $challenge->groups_are_locked;
@endphp
<x-layout :title="$group->name" :challenge="$challenge" :record="$record" :heading="$group->name" :line="$challenge->question ?? $challenge->name" live="page">
    <x-path-head :challenge="$challenge" :group="$group" :own="$own" :words="$words" :here="\Skivo\Core\Notebook\Station::Run" />
    <div data-part="queue">@if ($before !== null)<p class="queue-place"><strong>{{ match (true) {
        $group->is_repairing => $words->say('at_run.repair'), $before === 0 => $words->say('at_run.now'), $before === 1 => $words->say('at_run.next'),
        default => $words->say('at_run.before_you', ['count' => $before]) } }}</strong>
            {{ $words->say("at_run.how.{$group->source($own->plan->kit->source)->key()}") }}</p>@endif</div>
    <div class="lead-in">
        <h2 class="with-mark">{{ Glyph::of($group->mark) }}<span>{{ Text::of('device.group.our_car', [
            'version' => ($car->version ?? 1) > 1 ? Text::of('device.group.version', ['version' => $car->version]) : '',
        ]) }}</span>
        </h2>
        @if ($locked)<p class="small">{{ Text::of('device.group.just_now_nothing_can_be_changed') }}</p>@else<a class="button"
            href="{{ route('cars.edit', [$challenge, $group]) }}">{{ $car === null || $car->choices->isEmpty()
            ? Text::of('device.group.record_our_car') : Text::of('device.group.change_our_car') }}</a>@endif
        <a class="button" href="{{ route('groups.steps', [$challenge, $group]) }}">{{ Text::of('steps.own.our_steps') }}</a>
    </div>
    @if ($car !== null && ! $car->choices->isEmpty())
        <dl class="parts-list pb-4">@foreach (CarWords::parts($car->choices, $units) as $part => $words)
            <div><dt>{{ $part }}</dt><dd><bdi>{{ $words }}</bdi></dd></div>@endforeach</dl>
    @endif
    @unless ($locked)
        <details class="disclosure pb-3" data-part="name" @error('name') open @enderror><summary>{{ Text::of('device.group.change_our_name') }}</summary>
            <form method="post" action="{{ route('groups.rename', [$challenge, $group]) }}" class="prediction mt-2">
                @csrf @method('put')<x-sent-with :units="$challenge->units" />
                <x-field name="name" :label="Text::of('device.group.our_name')" :value="$group->name" maxlength="80" />
                <button class="button">{{ Text::of('device.group.that_is_our_name') }}</button>
            </form>
        </details>
    @endunless
    <x-group-cars :challenge="$challenge" :record="$record" :group="$group" :locked="$locked"
        :to="fn ($car) => route('groups.own', [$challenge, $car])" />
    <div data-part="prediction">
        @unless ($locked)
            @php($nextTry = $record->tries($car)->next())
            <form method="post" action="{{ route('predictions.update', [$challenge, $group]) }}" class="prediction">
                @csrf @method('put')<x-sent-with :units="$units" />
                <input type="hidden" name="try" value="{{ $nextTry }}">
                <x-measure
                    name="predicted" :label="Text::of('device.group.how_far_will_try_go', ['next_try' => $nextTry])"
                    :value="$expected?->distance->text" :unit="$units->symbol(Scale::Distance)" />
                <button class="button">{{ $expected === null ? Text::of('device.group.that_is_our_prediction')
                    : Text::of('device.group.change_our_prediction') }}</button>
            </form>
        @endunless
    </div>
    <section class="pb-8" aria-labelledby="our-runs" data-part="runs">
        <div class="lead-in"><h2 id="our-runs">{{ Text::of('device.group.our_runs') }}</h2>@if ($record->tries($car)->counted !== [])<a
            class="button plain" href="{{ route('groups.why', [$challenge, $group]) }}">{{ Text::of('device.why.why_it_stopped_there') }}</a>@endif</div>
        <x-errors />
        @php($runs = $group->cars->flatMap(fn ($each) => $each->runs->map(fn ($run) => [$each, $run]))->reverse()->values())
        @if ($runs->isEmpty())<p>{{ Text::of('device.group.none_yet') }}</p>@endif
        <ul class="own-runs">
            @foreach ($runs as [$each, $run])
                @php($run->setRelation('car', $each->setRelation('group', $group)))
                <li id="run-{{ $run->id }}">
                    <span>{{ $each->version > 1 ? "v{$each->version}, "
                        : '' }}{{ \Illuminate\Support\Str::after(RunWords::summary($run, $units), ', ') }}@if ($run->note)
                    <span class="small"><bdi>{{ $run->note }}</bdi></span>@endif</span>
                    @unless ($locked)
                        @php($typed = old('of_run') === $run->id)
                        <details class="disclosure" @if ($typed) open @endif><summary>{{ Text::of('device.group.correct') }}</summary>
                            <form method="post" action="{{ route('runs.update', [$challenge, $run]) }}" class="form-grid narrow py-2">
                                @csrf @method('put')<x-sent-with :units="$units" />
                                <input type="hidden" name="of_run" value="{{ $run->id }}"><input type="hidden" name="edition" value="{{ $run->edition }}">
                                @if (session('conflict') && session('conflict')['run'] === $run->id)
                                    <div class="caution wide mt-0" role="alert"><p>
                                            {!! Text::html('device.group.changed_this_run_in_the_meantime', [
                                                'who' => session('conflict')['by'],
                                                'now' => implode('; ', session('conflict')['now']),
                                            ]) !!}
                                        </p></div>
                                @endif
                                @foreach (['distance' => [$run->distance?->text, Text::of('run.entry.stopped_at')],
                                    'time' => [$run->time?->text, Text::of('device.group.time')],
                                    'note' => [$run->note, Text::of('run.entry.note')]] as $field => [$value, $label])
                                    <div class="field">
                                        <label for="r-{{ $run->id }}-{{ $field }}">{{ $label }}</label>
                                        <input
                                            id="r-{{ $run->id }}-{{ $field }}" class="input" name="{{ $field }}"
                                            value="{{ $typed ? old($field) : $value }}" autocomplete="off"
                                            @if ($typed && $errors->has($field)) aria-invalid="true" @endif>
                                        @if ($typed && $errors->has($field))<p class="error">{{ $errors->first($field) }}</p>@endif
                                    </div>
                                @endforeach
                                @php($void = $typed ? old('void') : $run->void_reason?->value)
                                <div class="field"><label for="r-{{ $run->id }}-void">{{ Text::of('device.group.void') }}
                                    </label><select id="r-{{ $run->id }}-void" name="void" class="input">
                                        <option value="">{{ Text::of('device.group.it_counts') }}</option>
                                        @foreach ($challenge->rules()->voidReasons([$group->source($own->plan->kit->source)]) as $reason)
                                        <option value="{{ $reason->value }}" @selected($void === $reason->value)>
                                            {{ Label::of($reason) }}</option>@endforeach</select></div>
                                <div class="field self-end"><button class="button do">{{ Text::of('device.group.save') }}</button></div>
                            </form>
                        </details>
                        <a class="button plain" href="{{ route('film.show', [$challenge, $run]) }}">{{ Text::of('device.group.film_of_it') }}</a>
                    @endunless
                </li>
            @endforeach
        </ul>
    </section>
    <x-path-foot :challenge="$challenge" :group="$group" :wants="$own->wantsAdult" />
    @unless ($locked)<x-slot:foot>@include('run.entry', ['groups' => collect([$group]), 'only' => $group])</x-slot:foot>
    @endunless
</x-layout>
