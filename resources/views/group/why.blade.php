@php
    use App\Language\MeanWords;
    use Skivo\Core\Measurement\Scale;
    $units = $challenge->units;
    $far = fn (float $m) => $units->show($m, Scale::Distance);
    // No farther than the lane reaches: beyond it nobody can look.
    $room = max(0.1, $challenge->lane_length->quantity->si() - ($why->run->distanceM ?? 0.0));
@endphp
<x-layout
    :title="$group->name" :challenge="$challenge" :record="$record" :heading="$group->name" :line="$challenge->question ?? $challenge->name" live="page"
    :words="['outbox']">
    <x-path-head :challenge="$challenge" :group="$group" :own="$own" :words="$words" :here="$here" />
    <x-errors />
    <h2>{{ $words->say('why.lead') }}</h2>
    @if ($why === null)
        <p class="prose mt-1">{{ $words->say('why.no_run') }}</p>
    @else
        <p class="prose mt-1">{{ $why->guessM === null ? $words->say('why.went', ['went' => $far($why->run->distanceM)])
            : $words->say('why.guess', ['guess' => $far($why->guessM), 'went' => $far($why->run->distanceM)]) }}</p>
        <x-why-figure :why="$why" :words="$words" :units="$units" :layout="$own->plan->layoutOf($own->car)" :mark="$group->mark" />
        <p class="prose mt-3">{{ $words->say("why.{$why->drive}.arrows") }}</p>
        @if ($why->limpM !== null && $why->limpM < $why->run->distanceM)<p class="prose">{{ $words->say("why.{$why->drive}." . ($why->limpIsMarked
            ? 'over' : 'over_by_computer'), ['limp' => $far($why->limpM), 'coast' => $far($why->run->distanceM - $why->limpM)]) }}</p>@endif
        @if ($why->silence !== null)<p class="prose" data-silence="{{ $why->silence->value }}">{{ $words->say("why.silent.{$why->silence->value}", [
            'missing' => \App\Language\Lists::and(array_map(fn ($each) => Text::of("path.missing.{$each->value}"), $why->missing)),
        ]) }} @if ($why->silence === \App\Pages\Group\Silence::NotWrittenDown)<a class="button"
            href="{{ route('cars.edit', [$challenge, $group]) }}">{{ Text::of('path.page.write_it_down') }}</a>@endif</p>
        @else
            <p class="prose">{{ $words->say("why.{$why->drive}.bar") }}</p>
            @if ($why->heldBack !== null)<p class="prose"><strong>{{ $words->heldBack($why->heldBack) }}</strong></p>@endif
            @foreach (array_slice($why->changes, 0, 2, true) as $change => $gain)
                <p class="prose">{{ $words->say("why.{$change}", ['gain' => $gain <= $room ? $far($gain)
                    : Text::of('path.page.more_than', ['gain' => $far($room)])]) }}</p>@endforeach
        @endif
        @php($mean = MeanWords::of($own->countedM(), $units))
        @if ($mean !== null)<details class="disclosure"><summary>{{ Text::of('path.page.how_the_mean_is_made') }}</summary>
            <p class="num">{{ $mean }}</p></details>@endif
        <form method="post" action="{{ route('path.store', [$challenge, $group]) }}" class="mt-4" data-outbox="follow"
            data-then="{{ route('path.show', [$challenge, $group, 'change']) }}">
            @csrf<input type="hidden" name="kind" value="why"><input type="hidden" name="run" value="{{ $why->run->id }}">
            <button class="button do">{{ $words->say('why.got_it') }}</button></form>
        <p class="mt-3"><a href="{{ route('groups.why', [$challenge, $group]) }}">{{ Text::of('device.why.why_it_stopped_there') }}</a></p>
    @endif
    <x-path-foot :challenge="$challenge" :group="$group" :wants="$own->wantsAdult" />
</x-layout>
