@php
    use App\Http\Requests\CheckRequest;
    use App\Wording\CheckWords;
    use Skivo\Core\Car\Choice;
    use Skivo\Core\Car\CheckItem;
    use Skivo\Core\Car\CheckVerdict;
    use Skivo\Core\Measurement\Scale;
    $units = $challenge->units;
    $words = new CheckWords($units, $challenge->checkTolerances());
    $fixes = $card?->with(CheckVerdict::Fix) ?? [];
    $next = $card?->next() ?? CheckItem::Spin;
@endphp
<x-layout :title="'Check card of ' . $group->name" :challenge="$challenge" :record="$record" stage="check" :line="$challenge->question">
    <div class="lead-in">
        <div>
            <h2 class="with-mark"><x-mark :mark="$group->mark" class="!w-7 !h-7" /><span>Check card of <bdi>{{ \Illuminate\Support\Str::limit($group->name, 80) }}</bdi>{{ ($car->version ?? 1) > 1 ? ", version {$car->version}" : '' }}</span></h2>
            <p class="small mt-1">In this order. Leave empty what was not done yet.</p>
        </div>
        <p class="actions no-print"><a class="button" href="{{ route('diagnosis.show', [$challenge, $group]) }}">What is wrong with it?</a><button type="button" class="button plain" data-print>Print</button></p>
    </div>
    <x-errors />
    @if ($fixes !== [])
        <p class="caution !mt-0 mb-3"><strong>Needs fixing:</strong> {{ \App\Wording\Lists::and(array_map(fn ($item) => mb_strtolower($item->label()), $fixes), 9) }}. It may run all the same, and is marked so. <a href="{{ route('diagnosis.show', [$challenge, $group]) }}">Causes and cures</a></p>
    @elseif ($card?->isReady())
        <p class="flash !mt-0 mb-3">Everything is checked: ready to run.</p>
    @endif
    @if ($car?->choices->number(Choice::Track) === null)<p class="small mb-3">The car’s track is not recorded, so the angle between its axles cannot be told yet. <a href="{{ route('cars.edit', [$challenge, $group]) }}#axles">Record it</a></p>@endif
    <form method="post" action="{{ route('checks.update', [$challenge, $group]) }}">
        @csrf @method('put')<x-sent-with :units="$challenge->units" /><input type="hidden" name="edition" value="{{ \App\Actions\RecordCheckCard::edition($car) }}">
        @if (session('conflict'))
            <div class="caution !mt-0 mb-4" role="alert"><p><strong>Somebody else saved this card in the meantime.</strong> What you typed is below, and differs from it where the words at the right do not fit. Save it over theirs, or <a href="{{ route('checks.edit', [$challenge, $group]) }}">look at theirs</a>.</p></div>
        @endif
        <ol class="check-card">
            @foreach (CheckItem::cases() as $number => $item)
                @php([$key, $reading, $verdict] = [CheckRequest::key($item), $card?->reading($item), $card?->verdict($item)])
                <li @class(['check-item', "is-{$verdict?->value}" => $verdict !== null]) id="{{ $item->value }}">
                    <div class="check-what">
                        <h3><span class="num">{{ $number + 1 }}</span> {{ $item->label() }}</h3>
                        <p class="small">{{ $item->how() }}</p>
                        <p class="small check-limit">{{ $words->limit($item) }}</p>
                    </div>
                    <div class="check-entry">
                        @if ($item->isQuestion())
                            <fieldset class="yes-no">
                                <legend class="sr-only">{{ $item->label() }}?</legend>
                                <x-choice name="{{ $key }}_answer" value="1" :checked="$reading?->answer === true">yes</x-choice>
                                <x-choice name="{{ $key }}_answer" value="0" :checked="$reading?->answer === false">no</x-choice>
                                <x-choice name="{{ $key }}_answer" value="" :checked="$reading?->answer === null">not done</x-choice>
                            </fieldset>
                        @else
                            <x-measure :name="$key . '_first'" :label="$item->readingLabel()" :value="$reading?->first?->text" :unit="$units->symbol($item->scale())" />
                            @if ($item === CheckItem::Drift)
                                <div class="field"><label for="f-{{ $key }}_side">to the</label><select id="f-{{ $key }}_side" name="{{ $key }}_side" class="input"><option value="left">left</option><option value="right" @selected(old("{$key}_side", $reading?->side?->value) === 'right')>right</option></select></div>
                            @endif
                            @if ($item->secondLabel() !== null)<x-measure :name="$key . '_second'" :label="$item->secondLabel()" :value="$reading?->second?->text" :unit="$units->symbol(CheckRequest::secondScale($item))" />@endif
                        @endif
                        <x-field class="check-note" :name="$key . '_note'" label="Note" :value="$reading?->note" maxlength="1000" />
                    </div>
                    <p class="check-verdict">
                        <span class="verdict-word">{{ match ($verdict) { CheckVerdict::Pass => 'pass', CheckVerdict::Note => 'note', CheckVerdict::Fix => 'fix', null => '–' } }}</span>
                        @if ($card !== null)<span class="small">{{ $words->value($card, $item) }}</span>@endif
                    </p>
                </li>
            @endforeach
        </ol>
        <p class="actions py-5 no-print">
            <button class="button do">Save the card</button>
            <a class="button plain" href="{{ route('checks.index', $challenge) }}">Back to the class</a>
        </p>
    </form>
</x-layout>
