@php
    use Skivo\Core\Exchange\Column;
    use Skivo\Core\Exchange\Separator;
    use Skivo\Core\Measurement\Scale;
    $units = $challenge->units;
    $say = new Words($units);
@endphp
<x-layout
    :title="Text::of('sheet.show.title', ['challenge' => $challenge->name])" :challenge="$challenge" :record="$record"
    stage="run" :line="$challenge->question">
    <div class="lead-in"><div><h2>{{ Text::of('sheet.show.run_table') }}</h2>
            <p class="small prose mt-1">{{ Text::of('sheet.show.the_whole_class_as_one_table') }}</p></div></div>
    <section class="form-part">
        <h2>{{ Text::of('sheet.show.take_it_out') }}</h2>
        <div>
            <p class="mb-3">
                {{ Text::of('sheet.show.in_as_the_switch_above_says', [
                    'units' => $units === \Skivo\Core\Measurement\UnitSystem::Metric ? Text::of('sheet.show.cm_and_g') : Text::of('sheet.show.in_and_oz'),
                ]) }}
            </p>
            <p class="actions">
                @foreach ([[Separator::Comma, Text::of('sheet.separator.comma')],
                    [Separator::Semicolon, Text::of('sheet.separator.semicolon')],
                    [Separator::Tab, Text::of('sheet.separator.tab')]] as [$separator, $label])
                    <a class="button" download href="{{ route('sheet.download', [$challenge, 'separator' => $separator->value]) }}">{{ $label }}</a>
                @endforeach
            </p>
        </div>
    </section>
    <section class="form-part" id="bring">
        <h2>{{ Text::of('sheet.show.bring_one_in') }}</h2>
        <div class="grid gap-5">
            @if ($plan === null)
                <form method="post" action="{{ route('sheet.preview', $challenge) }}" enctype="multipart/form-data" class="grid gap-4 max-w-2xl">
                    @csrf<x-sent-with :units="$challenge->units" />
                    <div class="field">
                        <label for="f-file">{{ Text::of('sheet.show.csv_file') }}</label>
                        <input
                            id="f-file" class="input" type="file" name="file" accept=".csv,.tsv,.txt,text/csv" @error('file')
                            aria-invalid="true" aria-describedby="f-file-error" @enderror>
                        @error('file')<p class="error" id="f-file-error">{{ $message }}</p>@enderror
                    </div>
                    <div class="field">
                        <label for="f-text">{{ Text::of('sheet.show.or_paste_it') }}</label>
                        <textarea
                            id="f-text" name="text" rows="5" class="input num font-normal text-sm"
                            wrap="off" spellcheck="false">{{ old('text') }}</textarea>
                        <p class="hint">{{ Text::of('sheet.show.the_first_row_names_the_columns') }}</p>
                        <details class="disclosure"><summary>{{ Text::of('sheet.show.all_columns') }}</summary>
                            <p class="small">{{ implode(', ', array_map(fn ($column) => $column->name, Column::all())) }}</p></details>
                    </div>
                    <p class="actions"><button class="button do">{{ Text::of('sheet.show.look_at_it_first') }}</button><span
                        class="small">{{ Text::of('sheet.show.nothing_is_stored_yet') }}</span>
                    </p>
                </form>
            @else
                @if ($plan->problems !== [])
                    <div role="alert">
                        <h3>
                            {{ count($plan->problems) === 1 ? Text::of('sheet.show.one_thing_stands_against_it')
                                : Text::of('sheet.show.things_stand_against_it', ['count' => count($plan->problems)]) }}
                        </h3>
                        <p class="small mt-1 mb-3">{{ Text::of('sheet.show.nothing_was_stored_mend_them_in') }}</p>
                        <div class="scroll-x max-h-80 overflow-y-auto" tabindex="0" role="region" aria-label="{{ Text::of('sheet.show.problems') }}">
                            <table class="figures-table">
                                <thead><tr><th scope="col" class="num">{{ Text::of('sheet.show.line') }}</th>
                                        <th scope="col">{{ Text::of('sheet.show.column') }}</th><th scope="col">
                                            {{ Text::of('sheet.show.what_is_wrong') }}</th></tr></thead>
                                <tbody>@foreach (array_slice($plan->problems, 0, 200) as $problem)
                                    <tr><td class="num">{{ $problem->line }}</td><td><bdi>{{ $problem->column ?? Text::of('sheet.show.whole_line') }}</bdi>
                                        </td><td><bdi>{{ $say->say($problem->remark) }}</bdi></td></tr>@endforeach</tbody>
                            </table>
                        </div>
                        @if (count($plan->problems) > 200)<p class="small">
                            {{ Text::of('sheet.show.and_more', ['count' => count($plan->problems) - 200]) }}</p>@endif
                    </div>
                @elseif ($plan->addsNothing())
                    <p class="caution">{!! Text::html('sheet.show.all_of_it_is_on_record') !!}</p>
                @else
                    <div>
                        <h3>{{ Text::of('sheet.show.this_is_what_it_adds') }}</h3>
                        <ul class="list-disc pl-5 mt-2">
                            <li><span class="num">{{ $plan->newRuns() }}</span> {{ Text::plural('sheet.show.run_runs', $plan->newRuns()) }}</li>
                            <li>
                                {!! Text::html('sheet.show.new', [
                                    'count' => count($plan->newGroups),
                                    'groups' => Text::plural('sheet.show.group_groups', count($plan->newGroups)),
                                ]) !!}@if ($plan->newGroups !== []):
                                <bdi>{{ implode(', ', array_map(fn ($row) => \Illuminate\Support\Str::limit($row->group, 30),
                                    array_slice($plan->newGroups, 0, 12))) }}{{ count($plan->newGroups) > 12 ? ' …' : '' }}</bdi>@endif
                            </li>
                            <li>
                                {!! Text::html('sheet.show.or_versions_of_cars', [
                                    'new_cars' => $plan->newCars,
                                    'count' => Text::plural('sheet.show.car_cars', $plan->newCars),
                                ]) !!}
                            </li>
                            @if ($plan->completedCars > 0)<li>{!! Text::html('sheet.show.cars_told_more_of', ['count' => $plan->completedCars]) !!}</li>@endif
                            @if ($plan->alreadyThere > 0)<li>
                                {!! Text::html('sheet.show.on_record_already_left_alone', [
                                    'already_there' => $plan->alreadyThere,
                                    'count' => Text::plural('sheet.show.run_runs', $plan->alreadyThere),
                                ]) !!}
                            </li>@endif
                        </ul>
                        @if ($people !== [])<p class="caution mt-3">
                            {{ Text::of('sheet.show.are_these_children', ['names' => \App\Language\Lists::and($people, 3)]) }}</p>@endif
                        @if ($slips !== [])<p class="caution mt-3">{{ Text::plural('sheet.show.look_at_these_first', count($slips)) }}</p>@endif
                        <div
                            class="scroll-x mt-4 max-h-80 overflow-y-auto" tabindex="0" role="region"
                            aria-label="{{ Text::of('sheet.show.the_runs_to_add') }}">
                            <table class="figures-table">
                                <thead><tr><th scope="col">{{ Text::of('sheet.show.group') }}</th>
                                        <th scope="col">{{ Text::of('sheet.show.car') }}</th><th scope="col" class="num">
                                            {{ Text::of('sheet.show.try') }}</th><th scope="col" class="num">
                                            {{ Text::of('sheet.show.distance', ['distance' => $units->symbol(Scale::Distance)]) }}
                                        </th><th scope="col" class="num">{{ Text::of('sheet.show.time_s') }}</th>
                                        <th scope="col">{{ Text::of('sheet.show.void') }}</th></tr></thead>
                                <tbody>
                                    @foreach ($plan->runsByCar as $key => $versions)
                                        @foreach ($versions as $version => $runs)
                                            @foreach ($runs as $run)
                                                <tr><th scope="row"><bdi>{{ \Illuminate\Support\Str::limit($plan->names[$key],
                                                    60) }}</bdi>{{ $version > 1 ? Text::of('sheet.show.version', ['version' => $version])
                                                    : '' }}
                                                    </th><td>
                                                        {{ \App\Language\CarWords::brief($plan->choicesByCar[$key][$version], $units) }}
                                                    </td><td class="num">{{ $run->try }}</td><td class="num">
                                                        {{ $run->record->distance === null ? '–'
                                                            : $units->figure($run->record->distance->quantity->si(), Scale::Distance, 1) }}
                                                        @isset($slips[spl_object_id($run)])<span class="question block">{{
                                                            (new \App\Language\Words($units))->say($slips[spl_object_id($run)]) }}</span>@endisset
                                                    </td><td class="num">
                                                        {{ $run->record->time === null ? '–'
                                                            : $units->figure($run->record->time->quantity->si(), Scale::Stopwatch) }}
                                                    </td><td>{{ $run->record->void === null ? '' : Label::of($run->record->void) }}</td></tr>
                                            @endforeach
                                        @endforeach
                                    @endforeach
                                </tbody>
                            </table>
                        </div>
                    </div>
                    <form method="post" action="{{ route('sheet.store', $challenge) }}">
                        @csrf<x-sent-with :units="$challenge->units" />
                        <textarea name="text" hidden aria-label="{{ Text::of('sheet.show.the_sheet') }}">{{ "\n" . $text }}</textarea>
                        <p class="actions"><button class="button do">{{ Text::of('sheet.show.store_all_of_it') }}</button><a class="button"
                            href="{{ route('sheet.show', $challenge) }}">{{ Text::of('sheet.show.store_nothing') }}</a>
                        </p>
                    </form>
                @endif
                <details class="disclosure" @if ($plan->problems !== []) open @endif>
                    <summary>{{ Text::of('sheet.show.the_sheet_as_text') }}</summary>
                    <form method="post" action="{{ route('sheet.preview', $challenge) }}" class="grid gap-3">
                        @csrf<x-sent-with :units="$challenge->units" />
                        <textarea
                            name="text" rows="10" class="input num font-normal text-sm" wrap="off" spellcheck="false"
                            aria-label="{{ Text::of('sheet.show.the_sheet_as_text') }}">{{ "\n" . $text }}</textarea>
                        <p class="actions"><button
                            @class(['button', 'do' => $plan->problems !== []])>{{ Text::of('sheet.show.look_again') }}</button><a
                            class="button plain" href="{{ route('sheet.show', $challenge) }}">{{ Text::of('sheet.show.start_over') }}</a>
                        </p>
                    </form>
                </details>
            @endif
        </div>
    </section>
</x-layout>
