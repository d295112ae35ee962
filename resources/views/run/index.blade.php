@php
    use App\Pages\Run\RowLinks;
    use App\Language\RunWords;
    use Skivo\Core\Measurement\Scale;
    use Skivo\Core\Challenge\RunKind;
    use Skivo\Core\Challenge\VoidReason;
    $units = $challenge->units;
    $page = $runs->currentPage();
    $isOwner = auth()->user() instanceof \App\Models\User;
    $conflict = session('conflict');
    $trace = RowLinks::of('trace.show', $challenge);
    $film = RowLinks::of('film.show', $challenge);
    $takeBack = RowLinks::of('runs.destroy', $challenge);
    $putBack = RowLinks::of('runs.restore', $challenge);
@endphp
<x-layout
    :title="Text::of('run.index.runs', ['challenge' => $challenge->name])" :challenge="$challenge" :record="$record" stage="run"
    :line="$challenge->question" :live="$editing === '' ? 'page' : false">
    <div class="lead-in">
        <div>
            <h2>{{ $behind ? Text::of('run.index.the_runs_behind_a_finding') : Text::of('run.index.every_run_on_record') }}</h2>
            @if ($behind)<p class="mt-1"><a href="{{ route('runs.index', $challenge) }}">{{ Text::of('run.index.every_run_on_record') }}</a>
            @if ($isOwner){!! Text::html('run.index.back_to_the_findings', ['challenge' => route('findings.show', $challenge)]) !!}@endif
            </p>@endif
            <p class="small prose mt-1">{{ Text::of('run.index.newest_first_a_correction_replaces_what') }}</p>
        </div>
        <a class="button" href="{{ route('runs.show', $challenge) }}">{{ Text::of('run.index.back_to_the_floor') }}</a>
    </div>
    <x-errors />
    @if ($runs->isEmpty())
        <p class="py-8">{{ Text::of('run.index.nothing_has_been_logged_yet') }}</p>
    @else
        <div class="scroll-x mb-8" tabindex="0" role="region" aria-label="{{ Text::of('run.index.runs_2') }}" data-part="runs">
            <table class="figures-table">
                <thead>
                    <tr>
                        <th scope="col">{{ Text::of('run.index.group') }}</th><th scope="col" class="num">{{ Text::of('run.index.try') }}</th>
                        <th scope="col" class="num">{{ Text::of('run.index.distance_as_typed', ['distance' => $units->symbol(Scale::Distance)]) }}</th>
                        <th scope="col" class="num">{{ Text::of('run.index.time_s') }}</th>
                        <th scope="col">{{ Text::of('run.index.off_the_line') }}</th>
                        <th scope="col">{{ Text::of('run.index.void_load') }}</th><th scope="col">
                            {{ Text::of('run.index.note') }}</th><th scope="col">{{ Text::of('run.index.logged') }}</th>
                        <th scope="col"><span class="sr-only">{{ Text::of('run.index.change') }}</span></th>
                    </tr>
                </thead>
                <tbody>
                    @foreach ($runs as $run)
                        @php
                            [$car, $distance, $time, $load] = [$run->car, $run->distance, $run->time, $run->load];
                            [$logged, $isGone, $group] = [$run->logged, $run->trashed(), $run->car->group];
                            $summary = RunWords::summary($run, $units);
                        @endphp
                        @if ($editing === $run->id && ! $run->trashed())
                            <tr id="run-{{ $run->id }}">
                                <td colspan="9">
                                    <form
                                        method="post"
                                        action="{{ route('runs.update', [$challenge, $run, 'edit' => $run->id, 'page' => $page]) }}"
                                        class="py-2">
                                        @csrf @method('put')<x-sent-with :units="$units" />
                                        <input type="hidden" name="edition" value="{{ $run->edition }}">
                                        @if ($conflict)
                                            <div class="caution mt-0 mb-4" role="alert">
                                                <p>
                                                    {!! Text::html('run.index.changed_this_run_in_the_meantime', [
                                                        'who' => $conflict['by'],
                                                        'now' => implode('; ', $conflict['now']),
                                                    ]) !!}
                                                </p>
                                                <p>{{ Text::of('run.index.what_you_typed_is_below_save') }}</p>
                                            </div>
                                        @endif
                                        <div class="form-grid">
                                            <div class="field">
                                                <label for="f-group">{{ Text::of('run.index.group') }}</label>
                                                <select id="f-group" name="group" class="input" autofocus>
                                                    @foreach ($record->groups as $each)
                                                        <option value="{{ $each->id }}" @selected((string) old('group', $group->id) === (string) $each->id)>
                                                            {{ $each->name }}</option>
                                                    @endforeach
                                                </select>
                                                @error('group')<p class="error">{{ $message }}</p>@enderror
                                            </div>
                                            <x-field
                                                name="distance" :label="Text::of('run.index.distance')"
                                                :value="$run->distance?->text" inputmode="decimal" />
                                            <div class="field">
                                                <span class="field-label" aria-hidden="true"> </span>
                                                <input type="hidden" name="past_end" value="0">
                                                <label class="tick"><input type="checkbox" name="past_end" value="1"
                                                    @checked(old('past_end', $run->past_end))>{{ Text::of('run.entry.past_the_end') }}</label>
                                                <input type="hidden" name="hit_wall" value="0">
                                                <label class="tick"><input type="checkbox" name="hit_wall" value="1"
                                                    @checked(old('hit_wall', $run->hit_wall))>{{ Text::of('run.entry.far_wall') }}</label>
                                            </div>
                                            <div class="field">
                                                <label for="f-kind">{{ Text::of('run.index.kind') }}</label>
                                                <select id="f-kind" name="kind" class="input">@foreach (RunKind::cases() as $kind)
                                                    <option value="{{ $kind->value }}" @selected(old('kind', $run->kind->value) === $kind->value)>
                                                        {{ Label::of($kind) }}</option>@endforeach</select>
                                            </div>
                                            <x-field name="time" :label="Text::of('run.index.time')" optional :value="$run->time?->text" inputmode="decimal" />
                                            <x-field
                                                name="drift" :label="Text::of('run.index.off_the_line')" optional
                                                :value="$run->drift?->text" inputmode="decimal" />
                                            <div class="field">
                                                <label for="f-drift_side">{{ Text::of('run.index.to_the') }}</label>
                                                <select id="f-drift_side" name="drift_side" class="input">
                                                    <option value="left">{{ Text::of('run.index.left') }}</option>
                                                    <option value="right" @selected(old('drift_side', $run->drift_side?->value) === 'right')>
                                                        {{ Text::of('run.index.right') }}</option></select>
                                            </div>
                                            <x-field name="load" :label="Text::of('run.index.load')" optional :value="$run->load?->text" inputmode="decimal" />
                                            <div class="field">
                                                <label for="f-void">{{ Text::of('run.index.void') }}</label>
                                                <select id="f-void" name="void" class="input">
                                                    <option value="">{{ Text::of('run.index.it_counts') }}</option>
                                                    @foreach (VoidReason::cases() as $reason)
                                                    <option value="{{ $reason->value }}" @selected(old('void', $run->void_reason?->value) === $reason->value)>
                                                        {{ Label::of($reason) }}</option>@endforeach
                                                </select>
                                            </div>
                                            <x-field
                                                name="total_time" :label="Text::of('run.index.whole_run')" optional
                                                :value="$run->total_time?->text" inputmode="decimal" />
                                            <x-field
                                                name="limp" :label="Text::of('run.index.balloon_limp_at')" optional
                                                :value="$run->limp?->text" inputmode="decimal" />
                                            <x-field name="lane" :label="Text::of('run.index.lane')" optional :value="$run->lane" inputmode="numeric" />
                                            <x-field name="surface" :label="Text::of('run.entry.other_floor')" optional :value="$run->surface" maxlength="60" />
                                            <x-field
                                                name="ramp" :label="Text::of('run.entry.ramp')" optional
                                                :value="$run->ramp?->text" inputmode="decimal" />
                                            <div class="field">
                                                <label for="f-filled_by">{{ Text::of('run.entry.filled_by') }}</label>
                                                <select id="f-filled_by" name="filled_by" class="input">
                                                    <option value="">{{ Text::of('run.entry.not_noted') }}</option>
                                                    @foreach (\Skivo\Core\Car\Attribute\FilledBy::cases() as $by)
                                                    <option value="{{ $by->value }}" @selected(old('filled_by', $run->filled_by?->value) === $by->value)>
                                                        {{ Label::of($by) }}</option>@endforeach
                                                </select>
                                            </div>
                                            <input type="hidden" name="inflation_kind" value="{{ $run->inflation_kind?->value }}">
                                            <input type="hidden" name="inflation_size" value="{{ $run->inflation_size?->text }}">
                                            <input type="hidden" name="inflation_strokes" value="{{ $run->inflation_strokes }}">
                                            <x-field name="note" :label="Text::of('run.index.note')" optional :value="$run->note" maxlength="1000" />
                                        </div>
                                        <p class="actions mt-4">
                                            <button class="button do">{{ Text::of('run.index.save_the_correction') }}</button>
                                            <a class="button" href="{{ route('runs.index',
                                                [$challenge, 'page' => $page]) }}#run-{{ $run->id }}">{{ Text::of('run.index.leave_it_as_it_was') }}</a>
                                        </p>
                                    </form>
                                </td>
                            </tr>
                        @else
                            <tr id="run-{{ $run->id }}" @class(['line-through text-ink-2' => $isGone])>
                                <th scope="row"><span class="with-mark">{{ Glyph::of($group->mark) }}<span><bdi
                                    class="block max-w-60 truncate"
                                    title="{{ $group->name }}">{{ $group->name }}</bdi>@if ($car->version > 1)<span
                                    class="small">{{ Text::of('run.index.version',
                                    ['version' => $car->version]) }}</span>@endif</span></span>
                                </th>
                                <td class="num">{{ $run->try }}@if (! $run->record()->isTry())<span class="small block">{{ $run->record()->isApart()
                                    ? Text::of('run.index.apart') : Label::of($run->kind) }}</span>@endif</td>
                                <td class="num">
                                    {{ $run->past_end ? '≥ ' : '' }}{{ $distance === null ? '–'
                                        : $units->figure($distance->quantity->si(), Scale::Distance) }}<span
                                        class="small block">{{ $distance?->text }}{{ $run->past_end
                                            ? ', ' . Text::of($run->hit_wall ? 'run.field.far_wall' : 'run.field.past_end') : '' }}</span>
                                </td>
                                <td class="num">{{ $time === null ? '–' : $units->figure($time->quantity->si(), Scale::Stopwatch) }}</td>
                                <td class="small">{{ RunWords::drift($run, $units) }}</td>
                                <td>{{ $run->void_reason === null ? '' : Label::of($run->void_reason) }}@if ($load !== null)<span
                                    class="small block">{{ Text::of('run.index.load_2',
                                    ['si' => $units->show($load->quantity->si(), Scale::Weight)]) }}</span>@endif
                                </td>
                                <td class="min-w-28 max-w-56 [overflow-wrap:anywhere]"><bdi>{{ $run->note }}</bdi></td>
                                <td class="small min-w-28">
                                    <span class="block">{!! Moment::of($run->logged_at) !!}</span>
                                    @if ($logged?->isKnown())<span
                                        class="block">{!! Text::html('run.index.by', ['by' => $logged->by()]) !!}</span>@endif
                                </td>
                                <td class="no-underline">
                                    <div class="flex gap-1 justify-end">
                                        @if ($isGone && ! $isOwner)
                                            <span class="small">{{ Text::of('run.index.taken_back') }}</span>
                                        @elseif ($isGone)
                                            <form method="post" action="{{ $putBack($run->id) }}">@csrf<button
                                                class="button plain">{{ Text::of('run.index.put_back') }}</button>
                                            </form>
                                        @else
                                            @if ($isOwner)<a
                                                class="button plain" href="{{ $trace($run->id) }}"
                                                aria-label="{{ Text::of('run.index.trace',
                                                    ['run' => $summary]) }}">{{ Text::of('run.index.trace_2') }}</a>@endif
                                            <a
                                                class="button plain" href="{{ $film($run->id) }}"
                                                aria-label="{{ Text::of('run.index.film', ['run' => $summary]) }}">{{ Text::of('run.index.film_2') }}</a>
                                            <a
                                                class="button plain"
                                                href="?edit={{ $run->id }}&amp;page={{ $page }}#run-{{ $run->id }}"
                                                aria-label="{{ Text::of('run.index.correct', ['run' => $summary]) }}">{{ Text::of('run.index.correct_2') }}</a>
                                            @if ($isOwner)
                                            <form method="post" action="{{ $takeBack($run->id) }}">@csrf @method('delete')<button
                                                class="button plain"
                                                aria-label="{{ Text::of('run.index.take_back',
                                                    ['run' => $summary]) }}">{{ Text::of('run.index.take_back_2') }}</button>
                                            </form>@endif
                                        @endif
                                    </div>
                                </td>
                            </tr>
                        @endif
                        @foreach ($run->changes as $change)
                            <tr class="small">
                                <td></td>
                                <td colspan="8">
                                    {!! Text::html("run.index.changes.{$change->kind}", ['by' => $change->by(), 'at' => Moment::of($change->made_at)]) !!}
                                    @if ($change->kind === 'edited')<bdi
                                        class="block">{{ implode('; ',
                                        RunWords::differences($change->before, $change->after)) }}</bdi>@endif
                                </td>
                            </tr>
                        @endforeach
                    @endforeach
                </tbody>
            </table>
        </div>
        @if ($runs->hasPages())
            <nav class="actions pb-8" aria-label="{{ Text::of('run.index.more_runs') }}">
                @if (! $runs->onFirstPage())<a class="button" href="{{ $runs->previousPageUrl() }}">{{ Text::of('run.index.newer_runs') }}</a>@endif
                @if ($runs->hasMorePages())<a class="button" href="{{ $runs->nextPageUrl() }}">{{ Text::of('run.index.older_runs') }}</a>@endif
            </nav>
        @endif
    @endif
</x-layout>
