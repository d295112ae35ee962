{{-- For the fastest: after the tries every car over one length that all of them reach. --}}
@php
    use Skivo\Core\Measurement\Scale;
    $units = $challenge->units;
    $timed = $challenge->timed_length;
    $proposed = $record->timedLength();
    $over = fn (float $metres) => $units->show($metres, Scale::Lane);
@endphp
<details class="disclosure no-print pb-4" @if ($errors->hasAny(['timed_over', 'rounds'])) open @endif>
    <summary>{{ Text::of('run.timed.summary') }}</summary>
    @if ($challenge->timed_rounds > 0)
        <form method="post" action="{{ route('order.timed.none', $challenge) }}" class="mt-2">@csrf @method('delete')
            {{ Text::of('run.timed.is_in', ['length' => $over($timed->quantity->si()),
                'rounds' => Text::plural('run.timed.rounds_of', $challenge->timed_rounds)]) }}
            <button class="button plain">{{ Text::of('run.timed.take_out') }}</button></form>
    @elseif ($record->hasTimes() && $timed !== null)
        <p class="prose small mt-2">{{ Text::of('run.timed.are_taken', ['length' => $over($timed->quantity->si())]) }}</p>
    @else
        <p class="prose small mt-2">{{ $proposed === null ? Text::of('run.timed.none_yet') : Text::of('run.timed.every_try_reached', [
            'reached' => $units->show($proposed->reachedM, Scale::Distance), 'length' => $over($proposed->lengthM),
            'group' => $record->groups->firstWhere('id', (int) $proposed->shortest)?->name,
        ]) }}</p>
        <form method="post" action="{{ route('order.timed', $challenge) }}" class="form-grid narrow mt-3">
            @csrf @method('put')<x-sent-with :units="$units" />
            <x-field name="timed_over" :scale="Scale::Lane" :units="$units" :label="Text::of('run.timed.length')"
                :value="$proposed === null ? $timed?->text : $over($proposed->lengthM)" />
            <x-field name="rounds" :label="Text::of('run.timed.rounds')" value="2" inputmode="numeric" />
            <p class="self-end"><button class="button">{{ Text::of('run.timed.put_in') }}</button></p>
        </form>
    @endif
</details>
