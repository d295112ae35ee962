@if ($record->groups->isNotEmpty())
    <h2 id="figures-title" class="mb-1">{{ Text::of('run.figures.every_car_in_figures') }}</h2>
    <p class="small mb-3">
        {{ Text::of('run.figures.counted_tries_only_the_interval_is', ['goal' => \App\Language\GoalWords::figures($challenge->goal, $challenge->units)]) }}
    </p>
    <x-figures-table :record="$record" />
@endif
