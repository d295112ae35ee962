@if ($record->groups->isEmpty())
    <div class="py-10 prose">
        <h2>{{ Text::of('run.floor.the_floor_is_empty') }}</h2>
        <p class="mt-2 mb-5">{{ Text::of('run.floor.runs_are_logged_for_groups_so') }}</p>
        <a class="button do" href="{{ route('groups.index', $challenge) }}">{{ Text::of('run.floor.add_the_groups') }}</a>
    </div>
@else
    <x-floor :record="$record" :fresh="$fresh ?? $record->lastRun()?->id" />
@endif
