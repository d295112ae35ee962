@php
    use App\Http\Requests\TolerancesRequest;
    use Skivo\Core\Car\CheckItem;
    use Skivo\Core\Measurement\Scale;
    $units = $challenge->units;
    $own = $challenge->checkTolerances()->own;
    $labels = ['fixBelow' => 'Mend below', 'goodFrom' => 'Good from', 'goodTo' => 'Good up to', 'fixAbove' => 'Mend above'];
    $shown = fn (CheckItem $item, ?float $value) => $value === null ? '' : str_replace("\u{00A0}", ' ', match ($item) {
        CheckItem::Parallel => rtrim(rtrim(number_format($value, 3), '0'), '.'),
        CheckItem::Drift => rtrim(rtrim(number_format($value * $units->perSi(Scale::Slope), 2), '0'), '.'),
        default => $units->show($value, $item->scale()),
    });
@endphp
<x-layout :title="'Limits of the checks · ' . $challenge->name" :challenge="$challenge" :record="$record" stage="check" :line="$challenge->question">
    <div class="lead-in"><div class="prose"><h2>Limits of the checks</h2><p class="small mt-1">Between “good” and “mend” a reading is noted. What stands in grey is common practice; empty fields keep it.</p></div></div>
    <x-errors />
    <form method="post" action="{{ route('checks.tolerances.update', $challenge) }}">
        @csrf @method('put')<x-sent-with :units="$challenge->units" />
        @foreach (TolerancesRequest::items() as $item)
            <section class="form-part">
                <h2>{{ $item->label() }}</h2>
                <div class="form-grid narrow">
                    @foreach (TolerancesRequest::limitsOf($item) as $limit)
                        <x-field :name="TolerancesRequest::name($item, $limit)" :label="$labels[$limit]" :value="isset($own[$item->value]) && $own[$item->value]->{$limit} !== $item->usualTolerance()->{$limit} ? $shown($item, $own[$item->value]->{$limit}) : null" :placeholder="$shown($item, $item->usualTolerance()->{$limit})" :hint="match ($item) { CheckItem::Parallel => 'degrees', CheckItem::Drift => $units->symbol(Scale::Slope), default => null }" />
                    @endforeach
                </div>
            </section>
        @endforeach
        <p class="actions border-t border-rule py-5"><button class="button do">Judge by these</button><a class="button plain" href="{{ route('checks.index', $challenge) }}">Back without saving</a></p>
    </form>
</x-layout>
