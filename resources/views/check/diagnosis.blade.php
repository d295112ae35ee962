@php
    use App\Language\RunWords;
    use Skivo\Core\Diagnosis\Symptom;
    use Skivo\Core\Measurement\Scale;
    $units = $challenge->units;
    $say = new Words($units);
    $steering = $symptom === Symptom::Veers && $drift !== null && $over !== null ? $reading->steering($drift, $over) : null;
@endphp
<x-layout
    :title="Text::of('diagnosis.page.what_is_wrong', ['group' => $group->name])" :challenge="$challenge" :record="$record"
    stage="check" :line="$challenge->question">
    <div class="lead-in">
        <h2 class="with-mark">{{ Glyph::of($group->mark) }}<span>{!! Text::html('diagnosis.page.what_is_wrong_with_car', [
            'group' => \App\Language\Phrase::possessive(\Illuminate\Support\Str::limit($group->name, 80)),
        ]) !!}</span>
        </h2>
        <p class="actions no-print"><a class="button"
            href="{{ route('checks.edit', [$challenge, $group]) }}">{{ Text::of('diagnosis.page.its_check_card') }}</a><a
            class="button plain" href="{{ route('cars.edit', [$challenge, $group]) }}">{{ Text::of('diagnosis.page.its_build_sheet') }}</a>
        </p>
    </div>
    <x-errors />
    <form method="get" action="{{ route('diagnosis.show', [$challenge, $group]) }}" class="diagnosis-form">
        <input type="hidden" name="typed_in" value="{{ $units->value }}">
        <div class="field"><label for="f-seen">{{ Text::of('diagnosis.page.what_was_seen') }}</label>
            <select id="f-seen" name="seen" class="input" data-follow>
                @if ($symptom === null)<option value="">{{ Text::of('diagnosis.page.choose') }}</option>@endif
                @foreach (Symptom::of($reading->source) as $each)<option value="{{ $each->value }}" @selected($each === $symptom)>
                    {{ Label::of($each) }}{{ in_array($each, $reading->suggested, true) ? ' ' . Text::of('diagnosis.page.seen_on_this_car') : '' }}
                </option>@endforeach
            </select>
        </div>
        @if ($symptom === Symptom::Veers)
            <x-measure
                name="drift" :label="Text::of('diagnosis.page.it_drifted')"
                :value="request('drift') ?? ($drift === null ? null : $units->figure(abs($drift), Scale::Distance))"
                :unit="$units->symbol(Scale::Distance)" />
            <div class="field"><label for="f-side">{{ Text::of('diagnosis.page.to_the') }}</label>
                <select id="f-side" name="side" class="input"><option value="left">{{ Text::of('diagnosis.page.left') }}
                    </option><option value="right" @selected($drift !== null && $drift < 0)>
                        {{ Text::of('diagnosis.page.right') }}</option></select></div>
            <x-measure
                name="over" :label="Text::of('diagnosis.page.over')"
                :value="request('over') ?? ($over === null ? null : $units->figure($over, Scale::Distance))"
                :unit="$units->symbol(Scale::Distance)" />
        @endif
        <button class="button do">{{ Text::of('diagnosis.page.find_the_causes') }}</button>
    </form>
    @if ($symptom === null)
        <p class="py-4 prose">{{ Text::of('diagnosis.page.its_runs_and_its_check_card') }}</p>
    @else
        @if ($steering !== null)<x-steering-drawing :steering="$steering" :over="$over" :drift="$drift" :units="$units" />@endif
        @if ($strayed !== null)<p class="small">
            {{ Text::of('diagnosis.page.from_its_run', ['load' => RunWords::summary($strayed->load('car.group'), $units)]) }}</p>
        @endif
        @if ($symptom === Symptom::ShortRun && $isShort !== null)<p class="prose mt-2" data-is-short>{{ $isShort }}</p>@endif
        <ol class="causes">
            @foreach ($causes as $cause)
                <li>
                    <h3>{{ __("diagnosis.cause.{$cause->key}.title") }}
                    <span class="likelihood l{{ $cause->likelihood->value }}">{{ Label::of($cause->likelihood) }}</span>
                    </h3>
                    <p>
                        {{ implode(' ', array_filter([$cause->seen === null ? null : $say->say($cause->seen),
                            __("diagnosis.cause.{$cause->key}.why"), $cause->found === null ? null : $say->say($cause->found)])) }}
                    </p>
                    <dl><div><dt>{{ Text::of('diagnosis.page.tell_it_by') }}</dt>
                            <dd>{{ __("diagnosis.cause.{$cause->key}.measure") }}</dd></div>
                        <div><dt>{{ Text::of('diagnosis.page.cure') }}</dt><dd>
                                {{ $cause->cure === null ? __("diagnosis.cause.{$cause->key}.cure") : $say->say($cause->cure) }}
                            </dd></div></dl>
                </li>
            @endforeach
        </ol>
        <p class="small pb-5">{{ Text::of('diagnosis.page.causes_and_cures_are_common_practice') }}</p>
    @endif
</x-layout>
