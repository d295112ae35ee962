@php
    use App\Wording\StandingWords;
    use Skivo\Core\Quantity\Scale;
    use Skivo\Core\Challenge\Goal;
    $units = $challenge->units;
    $next = $record->nextGroup();
    $last = $record->lastRun();
    $lastGroup = $last === null ? null : $record->groups->first(fn ($group) => $group->cars->contains('id', $last->car_id));
@endphp
<x-layout :title="$challenge->name" :challenge="$challenge" :record="$record" stage="run" :line="$challenge->question">
    <div class="run-layout">
        <section aria-label="The floor" class="min-w-0">
            @if ($record->groups->isEmpty())
                <div class="py-10 prose">
                    <h2>The floor is empty</h2>
                    <p class="mt-2 mb-5">Runs are logged for groups, so the groups come first. Their cars can be recorded before or after the first run.</p>
                    <a class="button do" href="{{ route('groups.index', $challenge) }}">Add the groups</a>
                </div>
            @else
                <x-floor :record="$record" :fresh="session('logged')" />
            @endif
        </section>
        <section class="said" aria-label="So far">
            <h2 class="mb-2 [column-span:all]">So far</h2>
            <x-sentences :sentences="(new StandingWords($record))->soFar()" />
            <p class="small">{{ StandingWords::rule($challenge) }}</p>
            @if ($lastGroup !== null)
                <form class="no-print mt-3" method="post" action="{{ route('runs.destroy', [$challenge, $last]) }}">
                    @csrf @method('delete')
                    <button class="button plain -ml-3" data-key="u"><span>Undo the last: <bdi>{{ \Illuminate\Support\Str::limit($lastGroup->name, 24) }}</bdi>, try {{ $last->try }}</span></button>
                </form>
            @endif
        </section>
    </div>

    @if (! $record->groups->isEmpty())
        <section class="pb-8" aria-labelledby="figures-title">
            <h2 id="figures-title" class="mb-1">Every car in figures</h2>
            <p class="small mb-3">{{ \App\Wording\GoalWords::figures($challenge->goal, $units) }}, counted tries only. The interval is where the car’s true mean lies, 95 times in 100. Versions that a group has replaced stand below it.</p>
            <x-figures-table :record="$record" />
            <p class="mt-4 actions no-print">
                <a class="button" href="{{ route('runs.index', $challenge) }}">Every run: correct, take back</a>
                <a class="button plain" href="{{ route('sheet.show', $challenge) }}">Class sheet (CSV)</a>
            </p>
        </section>
        <x-slot:foot>
            <div class="entry" data-entry>
                <div class="page">
                    @if ($errors->any())
                        <div class="entry-errors" role="alert" id="entry-errors">
                            @foreach (array_unique($errors->all()) as $message)<p class="error">{{ $message }}</p>@endforeach
                        </div>
                    @endif
                    <form class="entry-form" method="post" action="{{ route('runs.store', $challenge) }}" aria-label="Log a run">
                        @csrf
                        <input type="hidden" name="id" value="{{ \Illuminate\Support\Str::uuid7() }}">
                        <div class="field">
                            <label for="e-group">{{ $next === null ? 'All tries are in; an extra for' : 'Next' }} <span class="num" data-next-try></span></label>
                            <select id="e-group" name="group" class="input" data-key="g" @error('group') aria-invalid="true" @enderror>
                                @foreach ($record->groups as $group)
                                    @php($tries = $record->tries($group->currentCar()))
                                    <option value="{{ $group->id }}" data-try="try {{ $tries->next() }} of {{ $challenge->tries }}" @selected((string) old('group', $next?->id) === (string) $group->id)>{{ \Illuminate\Support\Str::limit($group->name, 60) }}</option>
                                @endforeach
                            </select>
                        </div>
                        <div class="field big">
                            <label for="e-distance">Stopped at</label>
                            <div class="unit-in">
                                <input id="e-distance" name="distance" class="input num" inputmode="decimal" autocomplete="off" data-key="d" value="{{ old('distance') }}" @error('distance') aria-invalid="true" aria-describedby="entry-errors" @enderror>
                                <span class="unit" aria-hidden="true">{{ $units->symbol(Scale::Distance) }}</span>
                            </div>
                        </div>
                        <div @class(['field', 'more' => $challenge->goal->value !== 'fastest'])>
                            <label for="e-time">Time{{ $challenge->timed_length === null ? '' : ' over ' . $units->show($challenge->timed_length->quantity->si(), Scale::Lane) }}</label>
                            <div class="unit-in">
                                <input id="e-time" name="time" class="input num" inputmode="decimal" autocomplete="off" placeholder="optional" data-key="t" value="{{ old('time') }}" @error('time') aria-invalid="true" aria-describedby="entry-errors" @enderror>
                                <span class="unit" aria-hidden="true">s</span>
                            </div>
                        </div>
                        @if ($challenge->isAfter(Goal::Straightest))
                            <div @class(['field', 'more' => $challenge->goal !== Goal::Straightest])>
                                <label for="e-drift">Off the line</label>
                                <div class="flex gap-1">
                                    <div class="unit-in grow"><input id="e-drift" name="drift" class="input num" inputmode="decimal" autocomplete="off" value="{{ old('drift') }}" @error('drift') aria-invalid="true" aria-describedby="entry-errors" @enderror><span class="unit" aria-hidden="true">{{ $units->symbol(Scale::Distance) }}</span></div>
                                    <select name="drift_side" class="input !w-auto" aria-label="To which side"><option value="left">left</option><option value="right" @selected(old('drift_side') === 'right')>right</option></select>
                                </div>
                            </div>
                        @endif
                        @if ($challenge->isAfter(Goal::HeaviestLoad))
                            <div @class(['field', 'more' => $challenge->goal !== Goal::HeaviestLoad])>
                                <label for="e-load">Load</label>
                                <div class="unit-in"><input id="e-load" name="load" class="input num" inputmode="decimal" autocomplete="off" value="{{ old('load') }}" @error('load') aria-invalid="true" aria-describedby="entry-errors" @enderror><span class="unit" aria-hidden="true">{{ $units->symbol(Scale::Weight) }}</span></div>
                            </div>
                        @endif
                        <div class="field more">
                            <label for="e-void">Void?</label>
                            <select id="e-void" name="void" class="input" data-key="v">
                                <option value="">it counts</option>
                                @foreach ($challenge->rules()->voidReasons() as $reason)
                                    <option value="{{ $reason->value }}" @selected(old('void') === $reason->value)>{{ $reason->value }}</option>
                                @endforeach
                            </select>
                        </div>
                        <div class="field more">
                            <label for="e-note">Note</label>
                            <input id="e-note" name="note" class="input" autocomplete="off" placeholder="optional" data-key="n" value="{{ old('note') }}" maxlength="1000">
                        </div>
                        <button type="button" class="button entry-more" data-more aria-expanded="false">Time, void, note</button>
                        <button class="button do log">Log run</button>
                    </form>
                </div>
            </div>
        </x-slot:foot>
    @endif
    <x-slot:keys>
        <dt><kbd>Enter</kbd></dt><dd>in a field of the strip: log the run</dd>
        <dt><kbd>g</kbd> <kbd>d</kbd> <kbd>t</kbd> <kbd>v</kbd> <kbd>n</kbd></dt><dd>go to group, distance, time, void, note (outside a field)</dd>
        <dt><kbd>u</kbd></dt><dd>undo the last run (outside a field)</dd>
    </x-slot:keys>
</x-layout>
