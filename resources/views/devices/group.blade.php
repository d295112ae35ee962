@php
    use App\Wording\CarWords;
    use App\Wording\RunWords;
    use Skivo\Core\Quantity\Scale;
    $units = $challenge->units;
    $car = $group->currentCar();
    $locked = $challenge->groups_are_locked;
@endphp
<x-layout :title="$group->name" :challenge="$challenge" :record="$record" :heading="$group->name" :line="$challenge->name" live="page">
    <div class="lead-in">
        <h2 class="with-mark"><x-mark :mark="$group->mark" class="!w-8 !h-8" /><span>Our car{{ ($car->version ?? 1) > 1 ? ", version {$car->version}" : '' }}</span></h2>
        @if ($locked)<p class="small">Just now nothing can be changed here.</p>@else<a class="button" href="{{ route('cars.edit', [$challenge, $group]) }}">{{ $car === null || $car->choices->isEmpty() ? 'Record our car' : 'Change our car' }}</a>@endif
    </div>
    @if ($car !== null && ! $car->choices->isEmpty())
        <dl class="parts-list pb-4">@foreach (CarWords::parts($car->choices, $units) as $part => $words)<div><dt>{{ $part }}</dt><dd><bdi>{{ $words }}</bdi></dd></div>@endforeach</dl>
    @endif
    @unless ($locked)
        <form method="post" action="{{ route('predictions.update', [$challenge, $group]) }}" class="prediction">
            @csrf @method('put')
            <x-measure name="predicted" :label="'How far will try ' . $record->tries($car)->next() . ' go?'" :value="$expected?->distance->text" :unit="$units->symbol(Scale::Distance)" />
            <button class="button">{{ $expected === null ? 'That is our prediction' : 'Change our prediction' }}</button>
        </form>
    @endunless
    <section class="pb-8" aria-labelledby="our-runs" data-part="runs">
        <h2 id="our-runs" class="mb-2">Our runs</h2>
        <x-errors />
        @php($runs = $group->cars->flatMap(fn ($each) => $each->runs->map(fn ($run) => [$each, $run]))->reverse()->values())
        @if ($runs->isEmpty())<p>None yet.</p>@endif
        <ul class="own-runs">
            @foreach ($runs as [$each, $run])
                @php($run->setRelation('car', $each->setRelation('group', $group)))
                <li>
                    <span>{{ $each->version > 1 ? "v{$each->version}, " : '' }}{{ \Illuminate\Support\Str::after(RunWords::summary($run, $units), ', ') }}@if ($run->note) <span class="small"><bdi>{{ $run->note }}</bdi></span>@endif</span>
                    @unless ($locked)
                        <details class="disclosure"><summary>Correct</summary>
                            <form method="post" action="{{ route('runs.update', [$challenge, $run]) }}" class="form-grid narrow py-2">
                                @csrf @method('put')
                                <input type="hidden" name="group" value="{{ $group->id }}"><input type="hidden" name="back" value="group"><input type="hidden" name="edition" value="{{ $run->edition }}">
                                @foreach (['distance' => [$run->distance?->text, 'Stopped at'], 'time' => [$run->time?->text, 'Time'], 'note' => [$run->note, 'Note']] as $field => [$value, $label])
                                    <div class="field"><label for="r-{{ $run->id }}-{{ $field }}">{{ $label }}</label><input id="r-{{ $run->id }}-{{ $field }}" class="input" name="{{ $field }}" value="{{ $value }}" autocomplete="off"></div>
                                @endforeach
                                <div class="field"><label for="r-{{ $run->id }}-void">Void?</label><select id="r-{{ $run->id }}-void" name="void" class="input"><option value="">it counts</option>@foreach ($challenge->rules()->voidReasons() as $reason)<option value="{{ $reason->value }}" @selected($run->void_reason === $reason)>{{ $reason->value }}</option>@endforeach</select></div>
                                <div class="field self-end"><button class="button do">Save</button></div>
                            </form>
                        </details>
                    @endunless
                </li>
            @endforeach
        </ul>
    </section>
    @unless ($locked)<x-slot:foot>@include('run.entry', ['groups' => collect([$group]), 'only' => $group])</x-slot:foot>
    @endunless
</x-layout>
