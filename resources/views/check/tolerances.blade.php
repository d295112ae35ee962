@php
    use App\Pages\Check\TolerancesRequest;
    use App\Pages\Check\CheckWords;
    use Skivo\Core\Car\Check\CheckItem;
    use Skivo\Core\Measurement\Scale;
    $units = $challenge->units;
    $own = $challenge->checkTolerances()->own;
    $labels = ['fixBelow' => Text::of('check.tolerances.mend_below'), 'goodFrom' => Text::of('check.tolerances.good_from'),
        'goodTo' => Text::of('check.tolerances.good_up_to'), 'fixAbove' => Text::of('check.tolerances.mend_above')];
    $words = new CheckWords($units, $challenge->checkTolerances());
@endphp
<x-layout
    :title="Text::of('check.tolerances.limits_of_the_checks', ['challenge' => $challenge->name])" :challenge="$challenge"
    :record="$record" stage="check" :line="$challenge->question">
    <div class="lead-in"><div class="prose"><h2>{{ Text::of('check.tolerances.limits_of_the_checks_2') }}</h2>
            <p class="small mt-1">{{ Text::of('check.tolerances.between_good_and_mend_a_reading') }}</p></div></div>
    <x-errors />
    <form method="post" action="{{ route('checks.tolerances.update', $challenge) }}">
        @csrf @method('put')<x-sent-with :units="$challenge->units" />
        @foreach (TolerancesRequest::items() as $item)
            <section class="form-part">
                <h2>{{ Label::of($item) }}</h2>
                <div class="form-grid narrow">
                    @foreach (TolerancesRequest::limitsOf($item) as $limit)
                        <x-field
                            :name="TolerancesRequest::name($item, $limit)" :label="$labels[$limit]"
                            :value="isset($own[$item->value]) && $own[$item->value]->{$limit} !== $item->usualTolerance()->{$limit} ?
                            $words->typed($item, $own[$item->value]->{$limit}) : null"
                            :placeholder="$words->typed($item, $item->usualTolerance()->{$limit})"
                            :hint="match ($item) { CheckItem::Parallel => Text::of('check.tolerances.degrees'), CheckItem::Drift =>
                            $units->symbol(Scale::Slope), default => null }"
                            />
                    @endforeach
                </div>
            </section>
        @endforeach
        <p class="actions border-t border-rule py-5"><button class="button do">{{ Text::of('check.tolerances.judge_by_these') }}</button><a
            class="button plain" href="{{ route('checks.index', $challenge) }}">{{ Text::of('check.tolerances.back_without_saving') }}</a>
        </p>
    </form>
</x-layout>
