@php
    use App\Language\GoalWords;
    use Skivo\Core\Measurement\Scale;
    use Skivo\Core\Challenge\Foresight;
    use Skivo\Core\Statistics\Verdict;
    $units = $challenge->units;
    $byTry = Foresight::byTry(array_values($predictions->foresights));
    $names = $record->groups->keyBy('id');
@endphp
<x-layout
    :title="Text::of('findings.awards.awards', ['challenge' => $challenge->name])" :challenge="$challenge" :record="$record"
    stage="findings" :line="$challenge->question" live="page">
    <x-findings-pages :challenge="$challenge" :record="$record" here="awards" />
    <section class="findings-part" aria-labelledby="awards">
        <h2 id="awards">{{ Text::of('findings.awards.awards_2') }}</h2>
        <div class="awards" data-part="awards">
            @foreach ($challenge->allAwards() as $award)
                @php
                    $standings = $record->standingsFor($award);
                    $chances = $findings->chances[$award->goal->value] ?? [];
                    $scored = array_values(array_filter($standings->places, fn ($place) => $place->rank !== null));
                @endphp
                <div>
                    <h3>{{ ucfirst(GoalWords::award($award, $units)) }}</h3>
                    @if ($scored === [])
                        <p class="small">{{ Text::of('findings.awards.no_try_has_what_it_takes') }}</p>
                    @else
                        <div class="scroll-x" tabindex="0" role="region" aria-label="{{ ucfirst(GoalWords::award($award, $units)) }}">
                            <table class="figures-table">
                            <thead><tr><th scope="col">{{ Text::of('findings.awards.place') }}</th>
                                    <th scope="col">{{ Text::of('findings.awards.group') }}</th><th scope="col" class="num">
                                        {{ Label::title($challenge->scoring) }}</th><th scope="col">
                                        {{ Text::of('findings.awards.chance_of_being_first') }}</th><th scope="col">
                                        {{ Text::of('findings.awards.against_the_first') }}</th></tr></thead>
                            <tbody>
                                @foreach ($scored as $place)
                                    @php($group = $names[(int) $place->entrant->id])
                                    <tr>
                                        <td class="num text-left">{{ $place->rank }}{{ $place->tied ? '=' : '' }}</td>
                                        <th scope="row"><span class="with-mark">{{ Glyph::of($group->mark) }}<a
                                            class="max-w-60 truncate"
                                            href="{{ route('runs.index', [$challenge, 'cars' => $group->cars->pluck('id')->implode(',')]) }}"
                                            aria-label="{{ Text::of('findings.awards.its_runs',
                                                ['group' => $group->name]) }}"><bdi>{{ $group->name }}</bdi></a></span>
                                        </th>
                                        <td class="num">{{ \App\Language\ReachWords::said($place->reach, $award, $challenge->scoring, $units) }}<x-other-units
                                            :units="$units" :si="$place->reach?->value" :scale="$award->goal->scale()" /></td>
                                        <td><span class="chance">
                                            <svg class="chance-bar" viewBox="0 0 100 8" preserveAspectRatio="none" aria-hidden="true">
                                                <rect class="whole" width="100" height="8" />
                                                <rect width="{{ round(100 * ($chances[$group->id] ?? 0), 1) }}" height="8" />
                                            </svg><span class="num">{{ $chances === [] ? '–' : Figure::chance($chances[$group->id] ?? 0.0) }}</span></span>
                                        </td>
                                        <td>
                                            {{ match ($place->againstLeader) {
                                                Verdict::TooCloseToCall => Text::of('findings.awards.too_close_to_call'),
                                                Verdict::ClearlyApart => Text::of('findings.awards.clearly', ['goal' => GoalWords::worse($award->goal)]),
                                                Verdict::NoSpreadYet => Text::of('findings.awards.not_judged_yet'),
                                                null => Text::plural('findings.awards.first', $place->rank),
                                            } }}
                                        </td>
                                    </tr>
                                @endforeach
                            </tbody>
                        </table></div>
                    @endif
                </div>
            @endforeach
            <p class="small prose">{{ Text::of('findings.awards.the_chance_were_it_all_run_again') }}</p>
        </div>
    </section>
    <section class="findings-part" aria-labelledby="predictions">
        <h2 id="predictions">{{ Text::of('findings.awards.predictions') }}</h2>
        <div>
            <div data-part="predictions">
            @if ($predictions->foresights !== [])
                @php($best = array_key_first($predictions->foresights))
                <p class="prose">
                    {!! Text::html('findings.awards.foretold_best', [
                        'group' => $names[$best]->name,
                        'miss' => $words->distance($predictions->foresights[$best]->typicalMiss()),
                    ]) !!} <x-behind :challenge="$challenge" :cars="$names[$best]->cars->pluck('id')->all()" /> @if (count($byTry) > 1)
                    {{ Text::of('findings.awards.over_the_class_the_typical_miss', [
                        'first' => $words->distance(reset($byTry)),
                        'last' => $words->distance(end($byTry)),
                    ]) }} @endif
                </p>
            @else
                <p class="prose">{{ Text::of('findings.awards.no_prediction_has_met_its_run') }}</p>
            @endif
            @if ($predictions->rows !== [])
                <div class="scroll-x" tabindex="0" role="region" aria-label="{{ Text::of('findings.awards.predictions_and_results') }}">
                    <table class="figures-table predictions-table">
                        <thead><tr><th scope="col">{{ Text::of('findings.awards.group') }}</th>
                                <th scope="col">{{ Text::of('findings.awards.predicted_and_measured_by_try') }}</th>
                                <th scope="col" class="num">{{ Text::of('findings.awards.typical_miss') }}</th>
                                <th scope="col">{{ Text::of('findings.awards.from_first_to_last') }}</th></tr></thead>
                        <tbody>
                            @foreach ($record->groups as $group)
                                @php([$own, $sight] = [array_filter($predictions->rows, fn ($row) => $row['group']->id === $group->id),
                                    $predictions->foresights[$group->id] ?? null])
                                @continue($own === [])
                                <tr>
                                    <th scope="row"><span class="with-mark">{{ Glyph::of($group->mark) }}<bdi
                                        class="max-w-60 truncate">{{ $group->name }}</bdi></span>
                                    </th>
                                    <td class="num text-left whitespace-normal">@foreach ($own as $row){{ Text::of('findings.awards.text', [
                                        'version' => $row['version'] > 1 ? "v{$row['version']}" : '',
                                        'try' => $row['prediction']->try,
                                        'predicted' => $units->figure($row['prediction']->distance->quantity->si(), Scale::Distance),
                                        'measured' => $row['measured'] === null ? '?' : $units->figure($row['measured'], Scale::Distance),
                                    ]) }}@if (! $loop->last); @endif @endforeach
                                    </td>
                                    <td class="num">{{ $sight === null ? '–' : $words->distance($sight->typicalMiss()) }}</td>
                                    <td>
                                        {{ $sight?->improvement() === null ? ''
                                            : ($sight->improvement() >= 0
                                            ? Text::of('findings.awards.closer', ['improvement' => $words->distance($sight->improvement())])
                                            : Text::of('findings.awards.farther_off',
                                            ['improvement' => $words->distance(-$sight->improvement())])) }}
                                    </td>
                                </tr>
                            @endforeach
                        </tbody>
                    </table>
                </div>
            @endif
            </div>
            <h3 class="mt-5 mb-2 no-print">{{ Text::of('findings.awards.before_the_next_try') }}</h3>
            <x-errors />
            <ul class="predict-list mt-3 no-print">
                @foreach ($record->groups->reject(fn ($group) => $group->is_withdrawn || $record->tries($group->currentCar())->areComplete()) as $group)
                    <li>
                        <form method="post" action="{{ route('predictions.update', [$challenge, $group]) }}" class="prediction pb-0">
                            @csrf @method('put')<x-sent-with :units="$challenge->units" />
                            <input type="hidden" name="of" value="{{ $group->id }}">
                        <div class="field"><label for="p-{{ $group->id }}" class="with-mark">
                                {{ Glyph::of($group->mark) }}<span>{{ Text::of('findings.awards.try', [
                                    'group' => \Illuminate\Support\Str::limit($group->name, 30),
                                    'next' => $record->tries($group->currentCar())->next(),
                                ]) }}</span>
                            </label><div class="unit-in">
                                <input
                                    id="p-{{ $group->id }}" class="input num" name="predicted" inputmode="decimal"
                                    autocomplete="off" @if ($errors->any() && old('of') === (string) $group->id)
                                    value="{{ old('predicted') }}" aria-invalid="true" @else
                                    value="{{ $predictions->open[$group->id]->distance->text ?? '' }}" @endif>
                                <span class="unit" aria-hidden="true">{{ $units->symbol(Scale::Distance) }}</span></div></div>
                        <button class="button" aria-label="{{ Text::of('findings.awards.save_the_prediction_of',
                            ['group' => $group->name]) }}">{{ Text::of('findings.awards.save') }}</button>
                        </form></li>
                @endforeach
            </ul>
        </div>
    </section>
</x-layout>
