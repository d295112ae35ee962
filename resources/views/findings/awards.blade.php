@php
    use App\Wording\GoalWords;
    use Skivo\Core\Measurement\Scale;
    use Skivo\Core\Challenge\Foresight;
    use Skivo\Core\Statistics\Verdict;
    $units = $challenge->units;
    $byTry = Foresight::byTry(array_values($predictions->foresights));
    $names = $record->groups->keyBy('id');
@endphp
<x-layout :title="'Awards · ' . $challenge->name" :challenge="$challenge" :record="$record" stage="findings" :line="$challenge->question" live="page">
    <x-findings-pages :challenge="$challenge" here="awards" />
    <section class="findings-part" aria-labelledby="awards">
        <h2 id="awards">Awards</h2>
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
                        <p class="small">No try has what it takes yet.</p>
                    @else
                        <div class="scroll-x" tabindex="0" role="region" aria-label="{{ ucfirst(GoalWords::award($award, $units)) }}"><table class="figures-table">
                            <thead><tr><th scope="col">Place</th><th scope="col">Group</th><th scope="col" class="num">{{ ucfirst($challenge->scoring->value) }}</th><th scope="col">Chance of being first</th><th scope="col">Against the first</th></tr></thead>
                            <tbody>
                                @foreach ($scored as $place)
                                    @php($group = $names[(int) $place->entrant->id])
                                    <tr>
                                        <td class="num !text-left">{{ $place->rank }}{{ $place->tied ? '=' : '' }}</td>
                                        <th scope="row"><span class="with-mark"><x-mark :mark="$group->mark" /><a class="max-w-60 truncate" href="{{ route('runs.index', [$challenge, 'cars' => $group->cars->pluck('id')->implode(',')]) }}" aria-label="{{ $group->name }}: its runs"><bdi>{{ $group->name }}</bdi></a></span></th>
                                        <td class="num">{{ $units->show($place->score, $award->goal->scale()) }}</td>
                                        <td><span class="chance"><svg class="chance-bar" viewBox="0 0 100 8" preserveAspectRatio="none" aria-hidden="true"><rect class="whole" width="100" height="8" /><rect width="{{ round(100 * ($chances[$group->id] ?? 0), 1) }}" height="8" /></svg><span class="num">{{ ($chance = $chances[$group->id] ?? 0) > 0 && $chance < 0.005 ? '< 1' : number_format(100 * $chance) }} %</span></span></td>
                                        <td>{{ match ($place->againstLeader?->verdict) { Verdict::TooCloseToCall => 'too close to call', Verdict::ClearlyApart => 'clearly ' . GoalWords::worse($award->goal), Verdict::NoSpreadYet => 'not judged yet', null => $place->rank === 1 ? 'first' : '' } }}</td>
                                    </tr>
                                @endforeach
                            </tbody>
                        </table></div>
                    @endif
                </div>
            @endforeach
            <p class="small prose">The chance: each group’s own tries are drawn again, as many as it has, ten thousand times, and ranked by the rule. A group with one try has nothing to draw from but that. “Clearly” is said only where the class as a whole differs by more than chance, and the two cars’ tries do (95 %).</p>
        </div>
    </section>
    <section class="findings-part" aria-labelledby="predictions">
        <h2 id="predictions">Predictions</h2>
        <div>
            <div data-part="predictions">
            @if ($predictions->foresights !== [])
                @php($best = array_key_first($predictions->foresights))
                <p class="prose"><strong>{{ $names[$best]->name }} foretold best,</strong> {{ $words->distance($predictions->foresights[$best]->typicalMiss()) }} off on average. <x-behind :challenge="$challenge" :cars="$names[$best]->cars->pluck('id')->all()" /> @if (count($byTry) > 1) Over the class the typical miss went from {{ $words->distance(reset($byTry)) }} on the first predictions to {{ $words->distance(end($byTry)) }} on the last. @endif</p>
            @else
                <p class="prose">No prediction has met its run yet. A group says how far its next try will go, on its own tablet or here, before it runs; then its foresight can be judged.</p>
            @endif
            @if ($predictions->rows !== [])
                <div class="scroll-x" tabindex="0" role="region" aria-label="Predictions and results">
                    <table class="figures-table predictions-table">
                        <thead><tr><th scope="col">Group</th><th scope="col">Predicted and measured, by try</th><th scope="col" class="num">Typical miss</th><th scope="col">From first to last</th></tr></thead>
                        <tbody>
                            @foreach ($record->groups as $group)
                                @php([$own, $sight] = [array_filter($predictions->rows, fn ($row) => $row['group']->id === $group->id), $predictions->foresights[$group->id] ?? null])
                                @continue($own === [])
                                <tr>
                                    <th scope="row"><span class="with-mark"><x-mark :mark="$group->mark" /><bdi class="max-w-60 truncate">{{ $group->name }}</bdi></span></th>
                                    <td class="num !text-left !whitespace-normal">@foreach ($own as $row){{ $row['version'] > 1 ? "v{$row['version']} " : '' }}try {{ $row['prediction']->try }}: {{ $units->figure($row['prediction']->distance->quantity->si(), Scale::Distance) }} → {{ $row['measured'] === null ? '?' : $units->figure($row['measured'], Scale::Distance) }}@if (! $loop->last); @endif @endforeach</td>
                                    <td class="num">{{ $sight === null ? '–' : $words->distance($sight->typicalMiss()) }}</td>
                                    <td>{{ $sight?->improvement() === null ? '' : ($sight->improvement() >= 0 ? $words->distance($sight->improvement()) . ' closer' : $words->distance(-$sight->improvement()) . ' farther off') }}</td>
                                </tr>
                            @endforeach
                        </tbody>
                    </table>
                </div>
            @endif
            </div>
            <h3 class="mt-5 mb-2 no-print">Before the next try</h3>
            <x-errors />
            <ul class="predict-list no-print">
                @foreach ($record->groups->reject(fn ($group) => $group->is_withdrawn || $record->tries($group->currentCar())->areComplete()) as $group)
                    <li><form method="post" action="{{ route('predictions.update', [$challenge, $group]) }}" class="prediction !pb-0">@csrf @method('put')<x-sent-with :units="$challenge->units" />
                        <div class="field"><label for="p-{{ $group->id }}" class="with-mark"><x-mark :mark="$group->mark" /><span>{{ \Illuminate\Support\Str::limit($group->name, 30) }}, try {{ $record->tries($group->currentCar())->next() }}</span></label><div class="unit-in"><input id="p-{{ $group->id }}" class="input num" name="predicted" inputmode="decimal" autocomplete="off" value="{{ $predictions->open[$group->id]->distance->text ?? '' }}"><span class="unit" aria-hidden="true">{{ $units->symbol(Scale::Distance) }}</span></div></div>
                        <button class="button" aria-label="Save the prediction of {{ $group->name }}">Save</button></form></li>
                @endforeach
            </ul>
        </div>
    </section>
</x-layout>
