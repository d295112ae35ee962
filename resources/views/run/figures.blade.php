@if ($record->groups->isNotEmpty())
    <h2 id="figures-title" class="mb-1">Every car in figures</h2>
    <p class="small mb-3">{{ \App\Wording\GoalWords::figures($challenge->goal, $challenge->units) }}, counted tries only. The interval is where the car’s true mean lies, 95 times in 100. Versions that a group has replaced stand below it.</p>
    <x-figures-table :record="$record" />
@endif
