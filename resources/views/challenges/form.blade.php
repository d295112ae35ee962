@php
    use Skivo\Core\Build\Choice;
    use Skivo\Core\Build\Suggestions;
@endphp
<x-errors />
<section class="form-part">
    <h2>The question</h2>
    <div class="grid gap-4 max-w-2xl">
        <x-field name="name" label="Name" :value="$challenge->name" maxlength="120" />
        <x-field name="question" label="Question the class is to answer" optional :value="$challenge->question" maxlength="300" hint="For instance: does a wider nozzle carry the car farther?" />
    </div>
</section>
<section class="form-part">
    <h2>The goal</h2>
    <div class="grid gap-4">
        <fieldset>
            <legend class="sr-only">Goal</legend>
            <div class="choices max-w-2xl">
                <x-choice name="goal" value="farthest" :checked="$challenge->goal->value === 'farthest'" hint="from the start line to where the car stops">Farthest</x-choice>
                <x-choice name="goal" value="fastest" :checked="$challenge->goal->value === 'fastest'" hint="the same length for every car, one that the shortest-running car still reaches">Fastest over a set length</x-choice>
            </div>
            @error('goal')<p class="error">{{ $message }}</p>@enderror
        </fieldset>
        <x-field class="max-w-xs" name="timed_length" label="Length that is timed" optional :value="$challenge->timed_length?->text" hint="needed for the fastest; for the farthest, only if times are taken too" />
    </div>
</section>
<section class="form-part">
    <h2>Tries</h2>
    <div class="grid gap-4">
        <x-field class="max-w-40" name="tries" label="Tries per group" :value="$challenge->tries" inputmode="numeric" hint="Three is usual." />
        <fieldset>
            <legend class="field-label mb-1">How tries count</legend>
            <div class="choices">
                <x-choice name="scoring" value="mean" :checked="$challenge->scoring->value === 'mean'" hint="rewards a car that is good every time">Mean of all</x-choice>
                <x-choice name="scoring" value="best" :checked="$challenge->scoring->value === 'best'" hint="rewards the one great run; forgives the others">Best one</x-choice>
                <x-choice name="scoring" value="median" :checked="$challenge->scoring->value === 'median'" hint="one odd try does not matter">Median</x-choice>
            </div>
            @error('scoring')<p class="error">{{ $message }}</p>@enderror
        </fieldset>
    </div>
</section>
<section class="form-part">
    <h2>The floor</h2>
    <div class="form-grid">
        <x-field name="lane_length" label="Lane length" :value="$challenge->lane_length?->text" hint="such as 6 m or 20 ft" />
        <x-field name="surface" label="Surface" optional :value="$challenge->surface" :suggestions="Suggestions::for(Choice::Surface)" />
        <fieldset class="wide">
            <legend class="field-label mb-1">Units the class works in</legend>
            <div class="choices max-w-2xl">
                <x-choice name="units" value="metric" :checked="$challenge->units->value === 'metric'">cm and g</x-choice>
                <x-choice name="units" value="imperial" :checked="$challenge->units->value === 'imperial'">in and oz</x-choice>
            </div>
        </fieldset>
    </div>
</section>
