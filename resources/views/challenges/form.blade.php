@php
    use App\Http\Requests\ChallengeRequest;
    use Skivo\Core\Car\Choice;
    use Skivo\Core\Car\Step;
    use Skivo\Core\Car\Suggestions;
    use Skivo\Core\Challenge\Goal;
    use Skivo\Core\Measurement\Scale;
    $formUnits = \Skivo\Core\Measurement\UnitSystem::tryFrom((string) old('units', '')) ?? $challenge->units;
    $free = $challenge->free_steps;
    $limited = ['chassis' => 'Chassis may be', 'wheel' => 'Wheels may be', 'nozzle' => 'Nozzles may be'];
    $hasLimits = $challenge->most_balloons !== null || $challenge->most_straws !== null || $challenge->heaviest !== null || $challenge->longest !== null || $challenge->allowed !== [];
    $about = [
        'farthest' => 'from the start line to where the car stops',
        'fastest' => 'the same length for every car, one that the shortest-running car still reaches',
        'straightest' => 'how far off the line it stopped, for each metre it ran',
        'nearest' => 'how close to a mark on the lane the car stops',
        'load' => 'carried over a set length',
    ];
@endphp
<x-errors />
<x-sent-with :units="$formUnits" />
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
            <legend class="field-label mb-1">What orders the floor</legend>
            <div class="choices">
                @foreach (Goal::cases() as $goal)
                    <x-choice name="goal" :value="$goal->value" :checked="$challenge->goal === $goal" :hint="$about[$goal->value]">{{ $goal->label() }}{{ $goal === Goal::Fastest ? ' over a set length' : '' }}</x-choice>
                @endforeach
            </div>
            @error('goal')<p class="error">{{ $message }}</p>@enderror
        </fieldset>
        <fieldset>
            <legend class="field-label mb-1">Further awards, each for itself</legend>
            <div class="ticks">
                @foreach (Goal::cases() as $goal)
                    <x-tick name="award_{{ $goal->value }}" :checked="$challenge->exists && $challenge->isAfter($goal) && $challenge->goal !== $goal">{{ $goal->label() }}</x-tick>
                @endforeach
            </div>
        </fieldset>
        <div class="form-grid">
            <x-field name="timed_length" :scale="Scale::Lane" :units="$formUnits" label="Length that is timed" optional :value="$challenge->timed_length?->text" hint="for the fastest; or if times are taken too" />
            <x-field name="mark_distance" :scale="Scale::Lane" :units="$formUnits" label="The mark lies at" optional :value="$challenge->mark_distance?->text" hint="for the nearest: from the start line" />
            <x-field name="load_length" :scale="Scale::Lane" :units="$formUnits" label="The load is carried over" optional :value="$challenge->load_length?->text" hint="for the heaviest load" />
        </div>
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
        <fieldset>
            <legend class="field-label mb-1">A void try</legend>
            <div class="choices max-w-2xl">
                <x-choice name="void_is_retried" value="1" :checked="$challenge->void_is_retried" hint="under its own number">is made again</x-choice>
                <x-choice name="void_is_retried" value="0" :checked="! $challenge->void_is_retried" hint="as if it had not been there">is lost</x-choice>
            </div>
        </fieldset>
        <fieldset>
            <legend class="field-label mb-1">A push at the start</legend>
            <div class="choices max-w-2xl">
                <x-choice name="push_is_foul" value="1" :checked="$challenge->push_is_foul" hint="the car must move by itself; a pushed try is void">is a foul</x-choice>
                <x-choice name="push_is_foul" value="0" :checked="! $challenge->push_is_foul" hint="every car may be given one">is allowed</x-choice>
            </div>
        </fieldset>
    </div>
</section>
<section class="form-part">
    <h2>The floor</h2>
    <div class="form-grid">
        <x-field name="lane_length" :scale="Scale::Lane" :units="$formUnits" label="Lane length" :value="$challenge->lane_length?->text" hint="such as 6 m or 20 ft" />
        <x-field name="lanes" label="Lanes" :value="$challenge->lanes" inputmode="numeric" hint="side by side" />
        <x-field name="surface" label="Surface" optional :value="$challenge->surface" :suggestions="Suggestions::for(Choice::Surface)" />
        <x-field name="air_temperature" label="Air temperature" optional :value="$challenge->air_temperature_entered" hint="such as 20 °C or 68 °F; warm air is thinner" />
        <fieldset class="wide">
            <legend class="field-label mb-1">Units the class works in</legend>
            <div class="choices max-w-2xl">
                <x-choice name="units" value="metric" :checked="$challenge->units->value === 'metric'">cm and g</x-choice>
                <x-choice name="units" value="imperial" :checked="$challenge->units->value === 'imperial'">in and oz</x-choice>
            </div>
        </fieldset>
    </div>
</section>
<section class="form-part">
    <h2>What may be varied</h2>
    <div class="grid gap-4">
        <fieldset>
            <legend class="sr-only">Design</legend>
            <div class="choices max-w-2xl">
                <x-choice name="design" value="free" :checked="$free === null" hint="learners invent; comparing is harder">Free design</x-choice>
                <x-choice name="design" value="held" :checked="$free !== null" hint="as in the kit, but for what is ticked below: results compare">The same car for all</x-choice>
            </div>
        </fieldset>
        <fieldset>
            <legend class="field-label mb-1">With the same car for all, groups may vary</legend>
            <div class="ticks">
                @foreach (Step::cases() as $step)
                    <x-tick name="free_{{ $step->value }}" :checked="in_array($step->value, $free ?? ['nozzle'], true)">{{ $step->label() }}</x-tick>
                @endforeach
            </div>
        </fieldset>
        <details class="disclosure" @if ($hasLimits || $errors->hasAny(['most_balloons', 'most_straws', 'heaviest', 'longest'])) open @endif>
            <summary>Limits on materials</summary>
            <div class="form-grid mt-3">
                <x-field name="most_balloons" label="Balloons at most" optional :value="$challenge->most_balloons" inputmode="numeric" />
                <x-field name="most_straws" label="Straws at most" optional :value="$challenge->most_straws" inputmode="numeric" hint="in nozzle and bearings together" />
                <x-field name="heaviest" :scale="Scale::Weight" :units="$formUnits" label="Car weighs at most" optional :value="$challenge->heaviest?->text" />
                <x-field name="longest" :scale="Scale::Body" :units="$formUnits" label="Chassis at most" optional :value="$challenge->longest?->text" hint="long" />
                @foreach (ChallengeRequest::LIMITED as $kind)
                    <x-field class="wide max-w-2xl" name="allowed_{{ $kind->value }}" :label="$limited[$kind->value]" optional :value="implode(', ', $challenge->allowed[$kind->value] ?? [])" hint="names from the parts list, with commas between; empty for any" />
                @endforeach
            </div>
        </details>
    </div>
</section>
