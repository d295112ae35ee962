@if ($record->groups->isEmpty())
    <div class="py-10 prose">
        <h2>The floor is empty</h2>
        <p class="mt-2 mb-5">Runs are logged for groups, so the groups come first. Their cars can be recorded before or after the first run.</p>
        <a class="button do" href="{{ route('groups.index', $challenge) }}">Add the groups</a>
    </div>
@else
    <x-floor :record="$record" :fresh="$fresh ?? $record->lastRun()?->id" />
@endif
