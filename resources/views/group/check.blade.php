@php
    use App\Pages\Check\CheckRequest;
    use App\Pages\Check\CheckWords;
    use Skivo\Core\Car\Check\CheckItem;
    use Skivo\Core\Car\Check\CheckVerdict;
    $units = $challenge->units;
    $checks = new CheckWords($units, $challenge->checkTolerances());
    $which = $item->item;
    $asks = $which->scale() !== null;
@endphp
<x-layout
    :title="$group->name" :challenge="$challenge" :record="$record" :heading="$group->name" :line="$challenge->question ?? $challenge->name" live="page"
    :words="['outbox']">
    <x-path-head :challenge="$challenge" :group="$group" :own="$own" :words="$words" :here="$here" />
    <x-errors />
    <h2>{{ Text::of('path.station.check') }}</h2>
    <ol class="test-line">@foreach ($item->verdicts as $value => $verdict)<li @class(['here' => $value === $which->value, "is-{$verdict?->value}" =>
        $verdict !== null])>
        <a href="{{ route('path.show', [$challenge, $group, 'check', 'item' => $value]) }}"
            aria-label="{{ $loop->iteration }}: {{ Label::of(CheckItem::from($value)) }}@if ($verdict !== null): {{ $checks->verdict($verdict) }}@endif"
            @if ($value === $which->value) aria-current="step" @endif>{{ $loop->iteration }}</a></li>@endforeach</ol>
    @if ($own->path->isChecked && $own->path->fixes === 0 && $item->next === null)<p class="flash">{{
        $words->say(in_array(CheckVerdict::Note, $item->verdicts, true) ? 'at_check.ready' : 'at_check.all_good') }}</p>@endif
    <section class="one-test" aria-labelledby="test-title">
        <x-check-picture :item="$which" />
        <div>
            <p class="small">{{ $words->say('at_check.lead') }}</p>
            <h3 id="test-title">{{ Label::of($which) }}</h3>
            <p class="prose">{{ Label::of($which, 'how') }}</p>
            <form method="post" action="{{ route('path.store', [$challenge, $group]) }}" class="mt-3 grid gap-3"
                data-outbox="follow" data-then="{{ route('path.show', [$challenge, $group, 'check', 'item' => $which->value]) }}">
                @csrf<x-sent-with :units="$units" /><input type="hidden" name="kind" value="check"><input type="hidden" name="item" value="{{ $which->value }}">
                @if ($asks)
                    <div class="form-grid narrow">
                        <x-measure name="first" :label="Label::of($which, 'reading')" :value="$item->reading?->first?->text"
                            :unit="$units->symbol($which->scale())" />
                        @if ($which->hasSecond())<x-measure name="second" :label="Label::of($which, 'second')" :value="$item->reading?->second?->text"
                            :unit="$units->symbol(CheckRequest::secondScale($which))" />@endif
                        @if ($which === CheckItem::Drift)<div class="field"><label for="f-side">{{ Text::of('check.card.to_the') }}</label>
                            <select id="f-side" name="side" class="input"><option value="left">{{ Text::of('check.card.left') }}</option>
                                <option value="right">{{ Text::of('check.card.right') }}</option></select></div>@endif
                    </div>
                    <p><button class="button do">{{ Text::of('path.page.that_is_it') }}</button></p>
                @else
                    <p class="actions"><button class="button do" name="yes" value="1">{{ $words->say('at_check.yes') }}</button>
                        <button class="button" name="yes" value="0">{{ $words->say('at_check.no') }}</button></p>
                @endif
            </form>
            @if ($item->verdict !== null)
                <div @class(['test-verdict', "is-{$item->verdict->value}"]) role="status">
                    <p><strong>{{ $words->say(match ($item->verdict) { CheckVerdict::Pass => 'at_check.good', CheckVerdict::Note => 'at_check.look',
                        CheckVerdict::Fix => 'at_check.fix' }) }}</strong></p>
                    @if ($item->verdict !== CheckVerdict::Pass)<p>{{ Text::of("path.cure.{$which->value}") }}</p>@endif
                </div>
                @if ($item->next !== null)<p class="mt-3"><a class="button do"
                    href="{{ route('path.show', [$challenge, $group, 'check',
                        'item' => $item->next->value]) }}">{{ Text::of('path.page.next_test') }}</a></p>@endif
            @endif
        </div>
    </section>
    <x-path-foot :challenge="$challenge" :group="$group" :wants="$own->wantsAdult" />
</x-layout>
