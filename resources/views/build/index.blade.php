@php
    use App\Wording\CarWords;
    $units = $challenge->units;
    $waiting = $record->groups->first(fn ($group) => $group->currentCar()?->choices->isEmpty() !== false);
@endphp
<x-layout :title="'Build · ' . $challenge->name" :challenge="$challenge" :record="$record" stage="build" :line="$challenge->question" live="page">
    <div class="lead-in">
        <div>
            <h2>Groups and their cars</h2>
            <p class="small mt-1">Balloon, wheel and nozzle are drawn beside each other to one scale.</p>
        </div>
        @if ($waiting !== null)
            <a class="button do" href="{{ route('cars.edit', [$challenge, $waiting]) }}"><span>Record the car of <bdi>{{ \Illuminate\Support\Str::limit($waiting->name, 24) }}</bdi></span></a>
        @elseif ($record->groups->isNotEmpty())
            <a class="button do" href="{{ route('checks.index', $challenge) }}">To the checks</a>
        @endif
    </div>
    @if ($record->groups->isNotEmpty())
        <div class="build-list" data-part="cars">
            @foreach ($record->groups as $group)
                @php($car = $group->currentCar())
                <div class="build-row">
                    <div class="with-mark">
                        <x-mark :mark="$group->mark" class="!w-7 !h-7" />
                        <span class="min-w-0">
                            <bdi class="name line-clamp-3">{{ $group->name }}</bdi>
                            @if ($group->cars->count() > 1)<span class="small block">version {{ $car->version }}</span>@endif
                        </span>
                    </div>
                    <x-parts-to-scale :car="$car?->choices" />
                    <div class="min-w-0">
                        @if ($car === null || $car->choices->isEmpty())
                            <p class="text-ink-2">The car is not recorded yet.</p>
                        @else
                            <dl>
                                @foreach (CarWords::parts($car->choices, $units) as $part => $words)<dt>{{ $part }}</dt><dd><bdi>{{ $words }}</bdi></dd>@endforeach
                            </dl>
                        @endif
                        @if ($group->cars->count() > 1)
                            @php($before = $group->cars[$group->cars->count() - 2])
                            <p class="small mt-1"><a href="{{ route('cars.versions', [$challenge, $group]) }}">Changed from version {{ $before->version }}</a>: <bdi>{{ lcfirst(CarWords::change($before->choices, $car->choices, $units)) }}</bdi>@if ($car->reason) “<bdi>{{ $car->reason }}</bdi>”@endif</p>
                        @endif
                        @php($reading = $readings[$group->id] ?? null)
                        @if ($reading !== null && ($reading->faults !== [] || $reading->breaches !== []))
                            <p class="small mt-1 text-do-dark"><a class="!text-inherit" href="{{ route('cars.edit', [$challenge, $group]) }}">{{ implode('; ', array_filter([
                                $reading->faults === [] ? null : (count($reading->faults) === 1 ? 'One thing that will not work' : count($reading->faults) . ' things that will not work'),
                                $reading->breaches === [] ? null : (count($reading->breaches) === 1 ? 'against a rule' : 'against ' . count($reading->breaches) . ' rules'),
                            ])) }}</a></p>
                        @endif
                        @if ($car?->choices->note)<p class="small mt-1 [overflow-wrap:anywhere]"><bdi>{{ $car->choices->note }}</bdi></p>@endif
                    </div>
                    <div class="actions !gap-1 justify-end">
                        <a class="button" href="{{ route('cars.edit', [$challenge, $group]) }}" aria-label="{{ $car === null || $car->choices->isEmpty() ? 'Record car' : 'Change car' }}: {{ $group->name }}">{{ $car === null || $car->choices->isEmpty() ? 'Record car' : 'Change car' }}</a>
                        @if ($car !== null && ! $car->choices->isEmpty())<a class="button plain" href="{{ route('what-if.show', [$challenge, 'car' => $car->id]) }}" aria-label="What if: {{ $group->name }}">What if</a>@endif
                        <a class="button plain" href="{{ route('groups.edit', [$challenge, $group]) }}" aria-label="Name, mark: {{ $group->name }}">Name, mark</a>
                    </div>
                </div>
            @endforeach
        </div>
    @endif
    <section class="py-6 prose no-print" aria-labelledby="add-title">
        <h2 id="add-title" class="mb-1">{{ $record->groups->isEmpty() ? 'Add the groups' : 'Add more groups' }}</h2>
        <form method="post" action="{{ route('groups.store', $challenge) }}">
            @csrf
            <div class="field">
                <label for="f-names" class="!font-normal">Names, one a line. Name the groups, never the children.</label>
                <textarea id="f-names" name="names" class="input" rows="4" @error('names') aria-invalid="true" aria-describedby="f-names-error" @enderror>{{ old('names') }}</textarea>
                @error('names')<div id="f-names-error">@foreach ($errors->get('names') as $message)<p class="error">{{ $message }}</p>@endforeach</div>@enderror
            </div>
            <button @class(['button mt-3', 'do' => $record->groups->isEmpty()])>Add groups</button>
        </form>
        @if ($removed->isNotEmpty())
            <details class="disclosure mt-6">
                <summary>Removed groups ({{ $removed->count() }})</summary>
                @foreach ($removed as $group)
                    <form class="flex gap-3 items-center" method="post" action="{{ route('groups.restore', [$challenge, $group]) }}">@csrf<bdi class="truncate max-w-80">{{ $group->name }}</bdi><button class="button plain">Put it back</button></form>
                @endforeach
            </details>
        @endif
    </section>
</x-layout>
