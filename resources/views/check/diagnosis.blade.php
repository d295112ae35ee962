@php
    use App\Wording\RunWords;
    use Skivo\Core\Diagnosis\Symptom;
    use Skivo\Core\Measurement\Scale;
    $units = $challenge->units;
    $steering = $symptom === Symptom::Veers && $drift !== null && $over !== null ? $reading->steering($drift, $over) : null;
@endphp
<x-layout :title="'What is wrong · ' . $group->name" :challenge="$challenge" :record="$record" stage="check" :line="$challenge->question">
    <div class="lead-in">
        <h2 class="with-mark"><x-mark :mark="$group->mark" class="!w-7 !h-7" /><span>What is wrong with <bdi>{{ \App\Wording\Phrase::possessive(\Illuminate\Support\Str::limit($group->name, 80)) }}</bdi> car?</span></h2>
        <p class="actions no-print"><a class="button" href="{{ route('checks.edit', [$challenge, $group]) }}">Its check card</a><a class="button plain" href="{{ route('cars.edit', [$challenge, $group]) }}">Its build sheet</a></p>
    </div>
    <x-errors />
    <form method="get" action="{{ route('diagnosis.show', [$challenge, $group]) }}" class="diagnosis-form">
        <input type="hidden" name="typed_in" value="{{ $units->value }}">
        <div class="field"><label for="f-seen">What was seen?</label>
            <select id="f-seen" name="seen" class="input" data-follow>
                @if ($symptom === null)<option value="">choose</option>@endif
                @foreach (Symptom::cases() as $each)<option value="{{ $each->value }}" @selected($each === $symptom)>{{ $each->label() }}{{ in_array($each, $reading->suggested, true) ? ' · seen on this car' : '' }}</option>@endforeach
            </select>
        </div>
        @if ($symptom === Symptom::Veers)
            <x-measure name="drift" label="It drifted" :value="request('drift') ?? ($drift === null ? null : $units->figure(abs($drift), Scale::Distance))" :unit="$units->symbol(Scale::Distance)" />
            <div class="field"><label for="f-side">to the</label><select id="f-side" name="side" class="input"><option value="left">left</option><option value="right" @selected($drift !== null && $drift < 0)>right</option></select></div>
            <x-measure name="over" label="over" :value="request('over') ?? ($over === null ? null : $units->figure($over, Scale::Distance))" :unit="$units->symbol(Scale::Distance)" />
        @endif
        <button class="button do">Find the causes</button>
    </form>
    @if ($symptom === null)
        <p class="py-4 prose">Its runs and its check card point to nothing yet. Choose what you saw, and the causes come up, ranked by what is known of this car.</p>
    @else
        @if ($steering !== null)<x-steering-drawing :steering="$steering" :over="$over" :drift="$drift" :units="$units" />@endif
        @if ($strayed !== null)<p class="small">From its run: {{ RunWords::summary($strayed->load('car.group'), $units) }}.</p>@endif
        <ol class="causes">
            @foreach ($causes as $cause)
                <li>
                    <h3>{{ $cause->title }} <span class="likelihood l{{ $cause->likelihood->value }}">{{ $cause->likelihood->inWords() }}</span></h3>
                    <p>{{ $cause->reason }}</p>
                    <dl><div><dt>Tell it by</dt><dd>{{ $cause->measure }}</dd></div><div><dt>Cure</dt><dd>{{ $cause->cure }}</dd></div></dl>
                </li>
            @endforeach
        </ol>
        <p class="small pb-5">Causes and cures are common practice; the figures are computed from this car’s measures.</p>
    @endif
</x-layout>
