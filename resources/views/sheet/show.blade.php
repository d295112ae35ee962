@php
    use Skivo\Core\Exchange\Column;
    use Skivo\Core\Exchange\Separator;
    use Skivo\Core\Measurement\Scale;
    $units = $challenge->units;
@endphp
<x-layout :title="'Class sheet · ' . $challenge->name" :challenge="$challenge" :record="$record" stage="run" :line="$challenge->question">
    <div class="lead-in"><div><h2>Class sheet</h2><p class="small prose mt-1">The whole class as one table: a row a run, with the choices of the car that made it. It opens in any spreadsheet.</p></div></div>
    <section class="form-part">
        <h2>Take it out</h2>
        <div>
            <p class="mb-3">In {{ $units === \Skivo\Core\Measurement\UnitSystem::Metric ? 'cm and g' : 'in and oz' }}, as the switch above says; the header names each unit.</p>
            <p class="actions">
                @foreach ([[Separator::Comma, 'Commas, decimal point'], [Separator::Semicolon, 'Semicolons, decimal comma'], [Separator::Tab, 'Tabs']] as [$separator, $label])
                    <a class="button" href="{{ route('sheet.download', [$challenge, 'separator' => $separator->value]) }}">{{ $label }}</a>
                @endforeach
            </p>
        </div>
    </section>
    <section class="form-part" id="bring">
        <h2>Bring one in</h2>
        <div class="grid gap-5">
            @if ($plan === null)
                <form method="post" action="{{ route('sheet.preview', $challenge) }}" enctype="multipart/form-data" class="grid gap-4 max-w-2xl">
                    @csrf<x-sent-with :units="$challenge->units" />
                    <div class="field">
                        <label for="f-file">CSV file</label>
                        <input id="f-file" class="input" type="file" name="file" accept=".csv,.tsv,.txt,text/csv" @error('file') aria-invalid="true" aria-describedby="f-file-error" @enderror>
                        @error('file')<p class="error" id="f-file-error">{{ $message }}</p>@enderror
                    </div>
                    <div class="field">
                        <label for="f-text">or paste it</label>
                        <textarea id="f-text" name="text" rows="5" class="input num !font-normal !text-sm" wrap="off" spellcheck="false">{{ old('text') }}</textarea>
                        <p class="hint">The first row names the columns. Only “group” is needed; others are: {{ implode(', ', array_map(fn ($column) => $column->value, array_slice(Column::cases(), 1))) }}. A unit may stand in brackets, as in “distance (cm)”.</p>
                    </div>
                    <p class="actions"><button class="button do">Look at it first</button><span class="small">Nothing is stored yet.</span></p>
                </form>
            @else
                @if ($plan->problems !== [])
                    <div role="alert">
                        <h3>{{ count($plan->problems) === 1 ? 'One thing stands against it' : count($plan->problems) . ' things stand against it' }}</h3>
                        <p class="small mt-1 mb-3">Nothing was stored. Mend them in the text below, or in your spreadsheet, and look again.</p>
                        <div class="scroll-x max-h-80 overflow-y-auto" tabindex="0" role="region" aria-label="Problems">
                            <table class="figures-table">
                                <thead><tr><th scope="col" class="num">Line</th><th scope="col">Column</th><th scope="col">What is wrong</th></tr></thead>
                                <tbody>@foreach (array_slice($plan->problems, 0, 200) as $problem)<tr><td class="num">{{ $problem->line }}</td><td><bdi>{{ $problem->column ?? 'whole line' }}</bdi></td><td><bdi>{{ $problem->message }}</bdi></td></tr>@endforeach</tbody>
                            </table>
                        </div>
                        @if (count($plan->problems) > 200)<p class="small">and {{ count($plan->problems) - 200 }} more.</p>@endif
                    </div>
                @elseif ($plan->addsNothing())
                    <p class="caution"><strong>All of it is on record already.</strong> There is nothing to add.</p>
                @else
                    <div>
                        <h3>This is what it adds</h3>
                        <ul class="list-disc pl-5 mt-2">
                            <li><span class="num">{{ $plan->newRuns() }}</span> {{ \Illuminate\Support\Str::plural('run', $plan->newRuns()) }}</li>
                            <li><span class="num">{{ count($plan->newGroups) }}</span> new {{ \Illuminate\Support\Str::plural('group', count($plan->newGroups)) }}@if ($plan->newGroups !== []): <bdi>{{ implode(', ', array_map(fn ($row) => \Illuminate\Support\Str::limit($row->group, 30), array_slice($plan->newGroups, 0, 12))) }}{{ count($plan->newGroups) > 12 ? ' …' : '' }}</bdi>@endif</li>
                            <li><span class="num">{{ $plan->newCars }}</span> {{ \Illuminate\Support\Str::plural('car', $plan->newCars) }} or versions of cars</li>
                            @if ($plan->alreadyThere > 0)<li><span class="num">{{ $plan->alreadyThere }}</span> {{ \Illuminate\Support\Str::plural('run', $plan->alreadyThere) }} on record already: left alone</li>@endif
                        </ul>
                        <div class="scroll-x mt-4 max-h-80 overflow-y-auto" tabindex="0" role="region" aria-label="The runs to add">
                            <table class="figures-table">
                                <thead><tr><th scope="col">Group</th><th scope="col">Car</th><th scope="col" class="num">Try</th><th scope="col" class="num">Distance ({{ $units->symbol(Scale::Distance) }})</th><th scope="col" class="num">Time (s)</th><th scope="col">Void</th></tr></thead>
                                <tbody>
                                    @foreach ($plan->runsByCar as $key => $versions)
                                        @foreach ($versions as $version => $runs)
                                            @foreach ($runs as $run)
                                                <tr><th scope="row"><bdi>{{ \Illuminate\Support\Str::limit($plan->names[$key], 60) }}</bdi>{{ $version > 1 ? ", version {$version}" : '' }}</th><td>{{ \App\Wording\CarWords::brief($plan->choicesByCar[$key][$version], $units) }}</td><td class="num">{{ $run->try }}</td><td class="num">{{ $run->record->distance === null ? '–' : $units->figure($run->record->distance->quantity->si(), Scale::Distance, 1) }}</td><td class="num">{{ $run->record->time === null ? '–' : $units->figure($run->record->time->quantity->si(), Scale::Stopwatch) }}</td><td>{{ $run->record->void?->value }}</td></tr>
                                            @endforeach
                                        @endforeach
                                    @endforeach
                                </tbody>
                            </table>
                        </div>
                    </div>
                    <form method="post" action="{{ route('sheet.store', $challenge) }}">
                        @csrf<x-sent-with :units="$challenge->units" />
                        <textarea name="text" hidden aria-label="The sheet">{{ "\n" . $text }}</textarea>
                        <p class="actions"><button class="button do">Store all of it</button><a class="button" href="{{ route('sheet.show', $challenge) }}">Store nothing</a></p>
                    </form>
                @endif
                <details class="disclosure" @if ($plan->problems !== []) open @endif>
                    <summary>The sheet as text</summary>
                    <form method="post" action="{{ route('sheet.preview', $challenge) }}" class="grid gap-3">
                        @csrf<x-sent-with :units="$challenge->units" />
                        <textarea name="text" rows="10" class="input num !font-normal !text-sm" wrap="off" spellcheck="false" aria-label="The sheet as text">{{ "\n" . $text }}</textarea>
                        <p class="actions"><button @class(['button', 'do' => $plan->problems !== []])>Look again</button><a class="button plain" href="{{ route('sheet.show', $challenge) }}">Start over</a></p>
                    </form>
                </details>
            @endif
        </div>
    </section>
</x-layout>
