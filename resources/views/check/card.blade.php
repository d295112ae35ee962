@php
    use App\Pages\Check\CheckRequest;
    use App\Pages\Check\CheckWords;
    use Skivo\Core\Car\Attribute\CarAttribute;
    use Skivo\Core\Car\Check\CheckItem;
    use Skivo\Core\Car\Check\CheckVerdict;
    use Skivo\Core\Measurement\Scale;
    $units = $challenge->units;
    $words = new CheckWords($units, $challenge->checkTolerances());
    $fixes = $card?->with(CheckVerdict::Fix) ?? [];
    $next = $card?->next() ?? CheckItem::Spin;
@endphp
<x-layout
    :title="Text::of('check.card.check_card_of', ['group' => $group->name])" :challenge="$challenge" :record="$record"
    stage="check" :line="$challenge->question">
    <div class="lead-in">
        <div>
            <h2 class="with-mark">{{ Glyph::of($group->mark) }}<span>{!! Text::html('check.card.check_card_of_2', [
                'group' => \Illuminate\Support\Str::limit($group->name, 80),
                'version' => ($car->version ?? 1) > 1 ? Text::of('check.card.version', ['version' => $car->version]) : '',
            ]) !!}</span>
            </h2>
            <p class="small mt-1">{{ Text::of('check.card.in_this_order_leave_empty_what') }}</p>
        </div>
        <p class="actions no-print"><a class="button"
            href="{{ route('diagnosis.show', [$challenge, $group]) }}">{{ Text::of('check.card.what_is_wrong_with_it') }}</a><button
            type="button" class="button plain" data-print>{{ Text::of('check.card.print') }}</button>
        </p>
    </div>
    <x-errors />
    @if ($fixes !== [])
        <p class="caution mt-0 mb-3">
            {!! Text::html('check.card.needs_fixing_it_may_run_all', [
                'fixes' => \App\Language\Lists::and(array_map(fn ($item) => Label::inside($item), $fixes), 9),
                'route' => route('diagnosis.show', [$challenge, $group]),
            ]) !!}
        </p>
    @elseif ($card?->isReady())
        <p class="flash mt-0 mb-3">{{ Text::of('check.card.everything_is_checked_ready_to_run') }}</p>
    @endif
    @if ($car?->choices->number(CarAttribute::Track) === null && $card?->value(CheckItem::Parallel) === null)<p class="small mb-3">
        {!! Text::html('check.card.the_cars_track_is_not_recorded', ['route' => route('cars.edit', [$challenge, $group])]) !!}</p>
    @endif
    <form method="post" action="{{ route('checks.update', [$challenge, $group]) }}">
        @csrf @method('put')<x-sent-with :units="$challenge->units" />
        <input type="hidden" name="edition" value="{{ \App\Actions\RecordCheckCard::edition($car) }}">
        @if (session('conflict'))
            <div class="caution mt-0 mb-4" role="alert"><p>
                    {!! Text::html('check.card.somebody_else_saved_this_card_in', ['route' => route('checks.edit', [$challenge, $group])]) !!}
                </p></div>
        @endif
        <ol class="check-card">
            @foreach ($card?->items() ?? CheckItem::cases() as $number => $item)
                @php([$key, $reading, $verdict] = [CheckRequest::key($item), $card?->reading($item), $card?->verdict($item)])
                <li @class(['check-item', "is-{$verdict?->value}" => $verdict !== null]) id="{{ $item->value }}">
                    <div class="check-what">
                        <h3><span class="num">{{ $number + 1 }}</span> {{ Label::of($item) }}</h3>
                        <p class="small">{{ Label::of($item, 'how') }}</p>
                        @unless ($item->isQuestion())<p class="small check-limit">{{ $words->limit($item) }}</p>@endunless
                    </div>
                    <div class="check-entry">
                        @if ($item->isQuestion())
                            <fieldset class="yes-no">
                                <legend class="sr-only">{{ Label::of($item) }}?</legend>
                                <x-choice name="{{ $key }}_answer" value="1" :checked="$reading?->answer === true">{{ Text::of('check.card.yes') }}</x-choice>
                                <x-choice name="{{ $key }}_answer" value="0" :checked="$reading?->answer === false">{{ Text::of('check.card.no') }}</x-choice>
                                <x-choice name="{{ $key }}_answer" value="" :checked="$reading?->answer === null">
                                    {{ Text::of('check.card.not_done') }}</x-choice>
                            </fieldset>
                        @else
                            <x-measure
                                :name="$key . '_first'" :label="Label::of($item, 'reading')" :value="$reading?->first?->text"
                                :unit="$units->symbol($item->scale())" />
                            @if ($item === CheckItem::Drift)
                                <div class="field"><label for="f-{{ $key }}_side">{{ Text::of('check.card.to_the') }}
                                    </label><select id="f-{{ $key }}_side" name="{{ $key }}_side" class="input">
                                        <option value="left">{{ Text::of('check.card.left') }}</option>
                                        <option value="right" @selected(old("{$key}_side", $reading?->side?->value) === 'right')>
                                            {{ Text::of('check.card.right') }}</option></select></div>
                            @endif
                            @if ($item->hasSecond())
                            <x-measure
                                :name="$key . '_second'" :label="Label::of($item, 'second')" :value="$reading?->second?->text"
                                :unit="$units->symbol(CheckRequest::secondScale($item))" />
                            @endif
                        @endif
                        <x-field class="check-note" :name="$key . '_note'" :label="Text::of('check.card.note')" :value="$reading?->note" maxlength="1000" />
                    </div>
                    <p class="check-verdict">
                        <span class="verdict-word">{{ match ($verdict) { CheckVerdict::Pass => Text::of('check.card.pass'),
                            CheckVerdict::Note => Text::of('check.card.note_2'), CheckVerdict::Fix => Text::of('check.card.fix'),
                            null => '–' } }}</span>
                        @if ($card !== null)<span class="small">{{ $words->value($card, $item) }}</span>@endif
                    </p>
                </li>
            @endforeach
        </ol>
        <p class="actions py-5 no-print">
            <button class="button do">{{ Text::of('check.card.save_the_card') }}</button>
            <a class="button plain" href="{{ route('checks.index', $challenge) }}">{{ Text::of('check.card.back_to_the_class') }}</a>
        </p>
    </form>
</x-layout>
