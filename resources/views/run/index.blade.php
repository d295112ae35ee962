@php
    use App\Wording\RunWords;
    use Skivo\Core\Measurement\Scale;
    use Skivo\Core\Challenge\VoidReason;
    $units = $challenge->units;
    $page = $runs->currentPage();
    $isOwner = auth()->user() instanceof \App\Models\User;
    $conflict = session('conflict');
@endphp
<x-layout :title="'Runs · ' . $challenge->name" :challenge="$challenge" :record="$record" stage="run" :line="$challenge->question" :live="$editing === '' ? 'page' : false">
    <div class="lead-in">
        <div>
            <h2>{{ $behind ? 'The runs behind a finding' : 'Every run on record' }}</h2>
            @if ($behind)<p class="mt-1"><a href="{{ route('runs.index', $challenge) }}">Every run on record</a> @if ($isOwner)· <a href="{{ route('findings.show', $challenge) }}">Back to the findings</a>@endif</p>@endif
            <p class="small prose mt-1">Newest first. A correction replaces what counts; the old value stays here, with who changed it and when. A run taken back can be put back.</p>
        </div>
        <a class="button" href="{{ route('runs.show', $challenge) }}">Back to the floor</a>
    </div>
    <x-errors />
    @if ($runs->isEmpty())
        <p class="py-8">Nothing has been logged yet.</p>
    @else
        <div class="scroll-x mb-8" tabindex="0" role="region" aria-label="Runs" data-part="runs">
            <table class="figures-table">
                <thead>
                    <tr>
                        <th scope="col">Group</th><th scope="col">Car</th><th scope="col" class="num">Try</th>
                        <th scope="col" class="num">Distance ({{ $units->symbol(Scale::Distance) }})</th><th scope="col">as typed</th>
                        <th scope="col" class="num">Time (s)</th><th scope="col">Off the line</th><th scope="col">Void, load</th><th scope="col">Note</th><th scope="col">Logged</th><th scope="col"><span class="sr-only">Change</span></th>
                    </tr>
                </thead>
                <tbody>
                    @foreach ($runs as $run)
                        @php($group = $run->car->group)
                        @if ($editing === $run->id && ! $run->trashed())
                            <tr id="run-{{ $run->id }}">
                                <td colspan="11">
                                    <form method="post" action="{{ route('runs.update', [$challenge, $run, 'edit' => $run->id, 'page' => $page]) }}" class="py-2">
                                        @csrf @method('put')<x-sent-with :units="$units" />
                                        <input type="hidden" name="edition" value="{{ $run->edition }}">
                                        @if ($conflict)
                                            <div class="caution !mt-0 mb-4" role="alert">
                                                <p><strong><bdi>{{ $conflict['by'] }}</bdi> changed this run in the meantime.</strong> Now on record: <bdi>{{ implode('; ', $conflict['now']) }}</bdi>.</p>
                                                <p>What you typed is below. Save it over theirs, or leave it as it is.</p>
                                            </div>
                                        @endif
                                        <div class="form-grid">
                                            <div class="field">
                                                <label for="f-group">Group</label>
                                                <select id="f-group" name="group" class="input" autofocus>
                                                    @foreach ($record->groups as $each)
                                                        <option value="{{ $each->id }}" @selected((string) old('group', $group->id) === (string) $each->id)>{{ $each->name }}</option>
                                                    @endforeach
                                                </select>
                                                @error('group')<p class="error">{{ $message }}</p>@enderror
                                            </div>
                                            <x-field name="distance" label="Distance" :value="$run->distance?->text" inputmode="decimal" />
                                            <x-field name="time" label="Time" optional :value="$run->time?->text" inputmode="decimal" />
                                            <x-field name="drift" label="Off the line" optional :value="$run->drift?->text" inputmode="decimal" />
                                            <div class="field">
                                                <label for="f-drift_side">to the</label>
                                                <select id="f-drift_side" name="drift_side" class="input"><option value="left">left</option><option value="right" @selected(old('drift_side', $run->drift_side?->value) === 'right')>right</option></select>
                                            </div>
                                            <x-field name="load" label="Load" optional :value="$run->load?->text" inputmode="decimal" />
                                            <div class="field">
                                                <label for="f-void">Void?</label>
                                                <select id="f-void" name="void" class="input">
                                                    <option value="">it counts</option>
                                                    @foreach (VoidReason::cases() as $reason)<option value="{{ $reason->value }}" @selected(old('void', $run->void_reason?->value) === $reason->value)>{{ $reason->value }}</option>@endforeach
                                                </select>
                                            </div>
                                            <x-field name="total_time" label="Whole run" optional :value="$run->total_time?->text" inputmode="decimal" />
                                            <x-field name="limp" label="Balloon limp at" optional :value="$run->limp?->text" inputmode="decimal" />
                                            <x-field name="lane" label="Lane" optional :value="$run->lane" inputmode="numeric" />
                                            <input type="hidden" name="inflation_kind" value="{{ $run->inflation_kind?->value }}"><input type="hidden" name="inflation_size" value="{{ $run->inflation_size?->text }}"><input type="hidden" name="inflation_strokes" value="{{ $run->inflation_strokes }}">
                                            <x-field name="note" label="Note" optional :value="$run->note" maxlength="1000" />
                                        </div>
                                        <p class="actions mt-4">
                                            <button class="button do">Save the correction</button>
                                            <a class="button" href="{{ route('runs.index', [$challenge, 'page' => $page]) }}#run-{{ $run->id }}">Leave it as it was</a>
                                        </p>
                                    </form>
                                </td>
                            </tr>
                        @else
                            <tr id="run-{{ $run->id }}" @class(['line-through text-ink-2' => $run->trashed()])>
                                <th scope="row"><span class="with-mark"><x-mark :mark="$group->mark" /><bdi class="max-w-60 truncate" title="{{ $group->name }}">{{ $group->name }}</bdi></span></th>
                                <td>{{ $run->car->version > 1 ? "version {$run->car->version}" : '' }}</td>
                                <td class="num">{{ $run->try }}</td>
                                <td class="num">{{ $run->distance === null ? '–' : $units->figure($run->distance->quantity->si(), Scale::Distance) }}</td>
                                <td class="small">{{ $run->distance?->text }}</td>
                                <td class="num">{{ $run->time === null ? '–' : $units->figure($run->time->quantity->si(), Scale::Stopwatch) }}</td>
                                <td class="small">{{ RunWords::drift($run, $units) }}</td>
                                <td>{{ $run->void_reason?->value }}@if ($run->load !== null)<span class="small block">load {{ $units->show($run->load->quantity->si(), Scale::Weight) }}</span>@endif</td>
                                <td class="min-w-36 max-w-56 [overflow-wrap:anywhere]"><bdi>{{ $run->note }}</bdi></td>
                                <td class="small !text-left"><span class="num !text-left"><x-moment :at="$run->logged_at" /></span>@if ($run->logged?->isKnown())<span class="block">by <bdi>{{ $run->logged->by() }}</bdi></span>@endif</td>
                                <td class="no-underline">
                                    <div class="flex gap-1 justify-end">
                                        @if ($run->trashed() && ! $isOwner)
                                            <span class="small">taken back</span>
                                        @elseif ($run->trashed())
                                            <form method="post" action="{{ route('runs.restore', [$challenge, $run]) }}">@csrf<button class="button plain">Put back</button></form>
                                        @else
                                            @if ($isOwner)<a class="button plain" href="{{ route('trace.show', [$challenge, $run]) }}" aria-label="Trace: {{ RunWords::summary($run, $units) }}">Trace</a>@endif
                                            <a class="button plain" href="{{ route('runs.index', [$challenge, 'edit' => $run->id, 'page' => $page]) }}#run-{{ $run->id }}" aria-label="Correct {{ RunWords::summary($run, $units) }}">Correct</a>
                                            @if ($isOwner)<form method="post" action="{{ route('runs.destroy', [$challenge, $run]) }}">@csrf @method('delete')<button class="button plain" aria-label="Take back {{ RunWords::summary($run, $units) }}">Take back</button></form>@endif
                                        @endif
                                    </div>
                                </td>
                            </tr>
                        @endif
                        @foreach ($run->changes as $change)
                            <tr class="small">
                                <td></td>
                                <td colspan="10">
                                    {{ match ($change->kind) { 'edited' => 'Corrected', 'undone' => 'Taken back', default => 'Put back' } }}
                                    by <bdi>{{ $change->by() }}</bdi>, <x-moment :at="$change->made_at" />{{ $change->kind === 'edited' ? ':' : '.' }}
                                    @if ($change->kind === 'edited')<bdi>{{ implode('; ', RunWords::differences($change->before, $change->after)) }}</bdi>@endif
                                </td>
                            </tr>
                        @endforeach
                    @endforeach
                </tbody>
            </table>
        </div>
        @if ($runs->hasPages())
            <nav class="actions pb-8" aria-label="More runs">
                @if (! $runs->onFirstPage())<a class="button" href="{{ $runs->previousPageUrl() }}">Newer runs</a>@endif
                @if ($runs->hasMorePages())<a class="button" href="{{ $runs->nextPageUrl() }}">Older runs</a>@endif
            </nav>
        @endif
    @endif
</x-layout>
