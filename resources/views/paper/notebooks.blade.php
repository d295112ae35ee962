{{-- A notebook sheet for each group. --}}
@php
    use App\Language\CarWords;
    use Skivo\Core\Measurement\Scale;
    $units = $challenge->units;
@endphp
@foreach ($groups as $group)
    @php
        $car = $group->currentCar();
        $own = array_values(array_filter($predictions->rows, fn ($row) => $row['group']->id === $group->id));
        $expected = fn ($version, $try) => collect($own)->first(fn ($row) => $row['version'] === $version
            && $row['prediction']->try === $try)['prediction'] ?? null;
        $runs = $group->cars->flatMap(fn ($each) => $each->runs->map(fn ($run) => [$each, $run]));
    @endphp
    <article class="sheet notebook">
        <header class="notebook-head"><h2 class="with-mark">{{ Glyph::of($group->mark) }}<span>{{ $group->name }}</span>
            </h2><p>{{ $challenge->name }}<span class="small block">{{ $challenge->question }}</span></p></header>
        <div class="notebook-columns">
            <section>
                <h3>
                    {{ Text::of('report.notebooks.our_car', [
                        'version' => ($car->version ?? 1) > 1 ? Text::of('report.notebooks.version', ['version' => $car->version]) : '',
                    ]) }}
                </h3>
                @if ($car !== null && ! $car->choices->isEmpty())
                    @if ($drawn[$group->id] !== null)
                        <x-car-drawing :layout="$drawn[$group->id]->layout" :faults="$drawn[$group->id]->faults" :units="$units"
                            :terms="$challenge->age->seesTerms()" />
                    @endif
                    <dl class="parts-list">@foreach (CarWords::parts($car->choices, $units) as $part => $said)
                        <div><dt>{{ $part }}</dt><dd>{{ $said }}</dd></div>@endforeach</dl>
                @else
                    <p class="blank-box tall">{{ Text::of('report.notebooks.draw_it_here') }}</p>
                @endif
            </section>
            <section>
                <h3>{{ Text::of('report.notebooks.what_we_changed_and_why') }}</h3>
                @if ($group->cars->count() < 2)<p class="small">{{ Text::of('report.notebooks.nothing_since_the_first_run') }}</p>@endif
                <ol class="notebook-versions">
                    @foreach ($group->cars as $index => $each)
                        @continue($index === 0)
                        <li>{{ CarWords::change($group->cars[$index - 1]->choices, $each->choices, $units) }}@if ($each->reason)<span
                            class="small block">“{{ $each->reason }}”</span>@endif
                        </li>
                    @endforeach
                </ol>
                <h3>{{ Text::of('report.notebooks.our_runs') }}</h3>
                <table class="figures-table">
                    <thead><tr><th scope="col">{{ Text::of('report.notebooks.try') }}</th>
                            <th scope="col" class="num">{{ Text::of('report.notebooks.we_said') }}</th>
                            <th scope="col" class="num">{{ Text::of('report.notebooks.it_went') }}</th>
                            <th scope="col">{{ Text::of('report.notebooks.what_happened') }}</th></tr></thead>
                    <tbody>
                        @foreach ($runs as [$each, $run])
                            @php($said = $expected($each->version, $run->try))
                            <tr><th scope="row">{{ $each->version > 1 ? "v{$each->version}, " : '' }}{{ $run->try }}
                                </th><td class="num">
                                    {{ $said === null ? '' : $units->show($said->distance->quantity->si(), Scale::Distance) }}
                                </td><td class="num">
                                    {{ $run->distance === null ? '' : $units->show($run->distance->quantity->si(), Scale::Distance) }}
                                </td><td>
                                    {{ $run->void_reason === null ? ''
                                        : Text::of('report.notebooks.void', ['void_reason' => Label::of($run->void_reason)]) }}
                                    {{ $run->note }}
                                </td></tr>
                        @endforeach
                        @for ($blank = $runs->count(); $blank < 3; $blank++)<tr class="blank-row">
                            <th scope="row"></th><td></td><td></td><td></td></tr>@endfor
                    </tbody>
                </table>
                @php($sample = $record->tries($car)->distances())
                @php($interval = $record->interval(\Skivo\Core\Challenge\Goal::Farthest, $sample))
                @if ($sample !== null)<p class="mt-2">
                    {!! Text::html('report.notebooks.mean_of', [
                        'tries' => $sample->n === 1 ? Text::of('report.notebooks.one_try') : Text::of('report.notebooks.tries', ['n' => $sample->n]),
                        'mean' => \App\Language\ReachWords::mean($record->tries($car), $units),
                    ]) !!}{{ $record->tries($car)->passedTheEnd() ? '' : ' ' }}@unless ($record->tries($car)->passedTheEnd())<x-other-units
                        :units="$units" :si="$sample->mean()" />@endunless.
                    @if ($interval !== null)
                    {{ Text::of('report.notebooks.the_truth_lies_most_likely_from', [
                        'low' => $units->show(max(0, $interval->low), Scale::Distance),
                        'high' => $units->show($interval->high, Scale::Distance),
                    ]) }}@endif
                </p>@endif
            </section>
        </div>
        @if ($findings->worksOf($group) !== [])
            <section class="notebook-why"><h3>{{ Text::of('report.notebooks.why_it_stopped_where_it_did') }}</h3>
                <x-own-work :challenge="$challenge" :works="$findings->worksOf($group)" :words="$words" /></section>
        @endif
        @if ($written[$group->id]->lines !== [])
            <section class="notebook-own"><h3>{{ Text::of('path.page.notebook') }}</h3>
                <x-notebook-lines :notebook="$written[$group->id]" :challenge="$challenge" :group="$group" :words="$path" /></section>
        @endif
        <div class="notebook-blanks">
            @foreach (__('report.ask') as $ask)<div><p>{{ $ask }}</p><span class="lines"></span></div>@endforeach
        </div>
    </article>
@endforeach
