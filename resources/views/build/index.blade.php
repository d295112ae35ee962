@php
    use App\Language\CarWords;
    $units = $challenge->units;
    $waiting = $record->groups->first(fn ($group) => $group->currentCar()?->choices->isEmpty() !== false);
@endphp
<x-layout
    :title="Text::of('build.index.build', ['challenge' => $challenge->name])" :challenge="$challenge" :record="$record"
    stage="build" :line="$challenge->question" live="page">
    <div class="lead-in">
        <div>
            <h2>{{ Text::of('build.index.groups_and_their_cars') }}</h2>
            <p class="small mt-1">{{ Text::of('build.index.balloon_wheel_and_nozzle_are_drawn') }}</p>
        </div>
        @if ($record->groups->isNotEmpty())<a class="button plain"
            href="{{ route('cars.all', $challenge) }}">{{ Text::of('build.index.all_cars_at_once') }}</a>@endif
        <a class="button plain" href="{{ route('safety.show', $challenge) }}">{{ Text::of('plan.safety.safety_sheet') }}</a>
        @if ($waiting !== null)
            <a class="button do" href="{{ route('cars.edit',
                [$challenge, $waiting]) }}"><span>{!! Text::html('build.index.record_the_car_of',
                ['waiting' => \Illuminate\Support\Str::limit($waiting->name, 24)]) !!}</span></a>
        @elseif ($record->groups->isNotEmpty())
            <a class="button do" href="{{ route('checks.index', $challenge) }}">{{ Text::of('build.index.to_the_checks') }}</a>
        @endif
    </div>
    @if ($isDivided)
        <details class="disclosure mb-4" id="who">
            <summary>{{ Text::of('design.who.title') }}</summary>
            <form method="post" action="{{ route('groups.divide', $challenge) }}" class="py-3">
                @csrf @method('put')
                <p class="small mb-3">{{ Text::of('design.who.drawn') }}</p>
                <div class="form-grid">@foreach ($record->teams() as $group)
                    <div class="field"><label for="f-builds-{{ $group->id }}"><span class="with-mark">{{ Glyph::of($group->mark) }}
                        <bdi>{{ $group->name }}</bdi></span></label>
                        <select class="input" id="f-builds-{{ $group->id }}" name="builds_{{ $group->id }}">
                            @foreach ([0, 1] as $other)<option value="{{ $other }}" @selected((int) $group->builds_other === $other)>{{
                                $builds->one((bool) $other) }}</option>@endforeach
                        </select></div>@endforeach</div>
                <p class="actions mt-3"><button class="button">{{ Text::of('design.who.save') }}</button>
                    @if ($record->lastRun() === null)<button class="button plain" name="again" value="1">{{ Text::of('design.who.draw') }}</button>@else<span
                        class="small">{{ Text::of('design.who.has_run') }}</span>@endif</p>
            </form>
        </details>
    @endif
    @if ($record->groups->isNotEmpty())
        <div class="build-list" data-part="cars">
            @foreach ($record->groups as $group)
                @php($car = $group->currentCar())
                <div class="build-row">
                    <div class="with-mark">
                        {{ Glyph::of($group->mark) }}
                        <span class="min-w-0">
                            <a class="name line-clamp-3" href="{{ route('groups.edit', [$challenge, $group]) }}"
                                aria-label="{{ Text::of('build.index.name_and_mark_of', ['group' => $group->name]) }}"><bdi>{{ $group->name }}</bdi></a>
                            @if ($builds->of($group) !== null)<span class="small block">{{ $builds->of($group) }}</span>@endif
                            @if ($group->cars->count() > 1)<span
                                class="small block">{{ Text::of('build.index.version', ['version' => $car->version]) }}</span>@endif
                        </span>
                    </div>
                    <x-parts-to-scale :car="$car?->choices" />
                    <div class="min-w-0">
                        @if ($car === null || $car->choices->isEmpty())
                            <p class="text-ink-2">{{ Text::of('build.index.the_car_is_not_recorded_yet') }}</p>
                        @else
                            <dl>
                                @foreach (CarWords::parts($car->choices, $units) as $part => $words)
                                <dt>{{ $part }}</dt><dd><bdi>{{ $words }}</bdi></dd>@endforeach
                            </dl>
                        @endif
                        @if ($group->cars->count() > 1)
                            @php($before = $group->cars[$group->cars->count() - 2])
                            <p class="small mt-1">
                                {!! Text::html('build.index.changed_from_version', [
                                    'route' => route('cars.versions', [$challenge, $group]),
                                    'version' => $before->version,
                                    'choices' => lcfirst(CarWords::change($before->choices, $car->choices, $units)),
                                ]) !!}@if ($car->reason) “<bdi>{{ $car->reason }}</bdi>”@endif
                            </p>
                        @endif
                        @php($reading = $readings[$group->id] ?? null)
                        @if ($reading !== null && ($reading->faults !== [] || $reading->breaches !== []))
                            <p class="small mt-1 text-do-dark">
                                <a class="text-inherit" href="{{ route('cars.edit', [$challenge, $group]) }}">{{ implode('; ', array_filter([
                                $reading->faults === [] ? null : (count($reading->faults) === 1 ?
                                Text::of('build.index.one_thing_that_will_not_work') : Text::of('build.index.things_that_will_not_work',
                                ['count' => count($reading->faults)])),
                                $reading->breaches === [] ? null : (count($reading->breaches) === 1 ? Text::of('build.index.against_a_rule')
                                : Text::of('build.index.against_rules', ['count' => count($reading->breaches)])),
                            ])) }}</a></p>
                        @endif
                        @if ($car?->choices->note)<p class="small mt-1 [overflow-wrap:anywhere]"><bdi>{{ $car->choices->note }}</bdi></p>@endif
                    </div>
                    <div class="actions gap-1 justify-end">
                        <a
                            class="button" href="{{ route('cars.edit', [$challenge, $group]) }}"
                            aria-label="{{ $car === null || $car->choices->isEmpty() ? Text::of('build.index.record_car')
                                : Text::of('build.index.change_car') }}:
                            {{ $group->name }}">{{ $car === null || $car->choices->isEmpty() ? Text::of('build.index.record_car')
                                : Text::of('build.index.change_car') }}</a>
                    </div>
                </div>
            @endforeach
        </div>
    @endif
    <section class="py-6 prose no-print" aria-labelledby="add-title">
        <h2 id="add-title" class="mb-1">{{ $record->groups->isEmpty() ? Text::of('build.index.add_the_groups') : Text::of('build.index.add_more_groups') }}</h2>
        <form method="post" action="{{ route('groups.store', $challenge) }}">
            @csrf<x-sent-with :units="$challenge->units" />
            <div class="field">
                <label for="f-names" class="font-normal">{{ Text::of('build.index.names_one_a_line_name_the') }}</label>
                <textarea
                    id="f-names" name="names" class="input" rows="4" @error('names') aria-invalid="true"
                    aria-describedby="f-names-error" @enderror>{{ old('names') }}</textarea>
                @error('names')<div id="f-names-error">@foreach ($errors->get('names') as $message)<p class="error">{{ $message }}</p>@endforeach</div>@enderror
            </div>
            <button @class(['button mt-3', 'do' => $record->groups->isEmpty()])>{{ Text::of('build.index.add_groups') }}</button>
        </form>
        @if ($removed->isNotEmpty())
            <details class="disclosure mt-6">
                <summary>{{ Text::of('build.index.removed_groups', ['count' => $removed->count()]) }}</summary>
                @foreach ($removed as $group)
                    <form class="flex gap-3 items-center" method="post" action="{{ route('groups.restore', [$challenge, $group]) }}">
                        @csrf<bdi class="truncate max-w-80">{{ $group->name }}</bdi><button
                            class="button plain">{{ Text::of('build.index.restore') }}</button>
                    </form>
                @endforeach
            </details>
        @endif
    </section>
</x-layout>
