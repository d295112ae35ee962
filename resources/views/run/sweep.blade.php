{{-- Is medium best? One car runs small, medium and full, twice each, after its tries. --}}
@php
    use App\Pages\Run\NextRun;
    use App\Pages\Run\SweepRequest;
    use Skivo\Core\Measurement\Scale;
    $fails = $errors->hasAny(['sweep_group', 'measured', 'small', 'medium', 'full']);
    $unit = $challenge->units->symbol(Scale::Body);
@endphp
<details class="disclosure no-print pb-8" @if ($fails) open @endif>
    <summary>{{ Text::of('run.sweep.is_medium_best') }}</summary>
    <p class="prose small mt-2">{{ Text::of('run.sweep.lead') }}</p>
    @foreach ($record->groups->filter(fn ($group) => $group->sweep !== null) as $group)
        <form method="post" action="{{ route('order.sweep.stop', [$challenge, $group]) }}" class="mt-2 with-mark">@csrf @method('delete')
            {{ Glyph::of($group->mark) }}<bdi>{{ $group->name }}</bdi> <span class="small">{{ NextRun::of($record, $group)->words }}</span>
            <button class="button plain"
                aria-label="{{ Text::of('run.sweep.stop_label', ['group' => $group->name]) }}">{{ Text::of('run.sweep.stop') }}</button></form>
    @endforeach
    <form method="post" action="{{ route('order.sweep', $challenge) }}" class="form-grid narrow mt-3">
        @csrf @method('put')<x-sent-with :units="$challenge->units" />
        <div class="field"><label for="f-sweep_group">{{ Text::of('run.index.group') }}</label>
            <select id="f-sweep_group" name="sweep_group" class="input">@foreach ($record->groups as $group)<option value="{{ $group->id }}"
                @selected((string) old('sweep_group') === (string) $group->id)>{{ $group->name }}</option>@endforeach</select></div>
        <div class="field"><label for="f-measured">{{ Text::of('run.sweep.measured') }}</label>
            <select id="f-measured" name="measured" class="input">
                @foreach (SweepRequest::ways($record->sources()) as $kind)
                <option value="{{ $kind->value }}" @selected(old('measured') === $kind->value)>{{ Label::of($kind) }}</option>@endforeach</select></div>
        <x-field name="small" :label="Text::of('run.sweep.small')" inputmode="decimal" :hint="Text::of('run.sweep.in_unit', ['unit' => $unit])" />
        <x-field name="medium" :label="Text::of('run.sweep.medium')" inputmode="decimal" />
        <x-field name="full" :label="Text::of('run.sweep.full')" inputmode="decimal" />
        <p class="self-end"><button class="button">{{ Text::of('run.sweep.put_in') }}</button></p>
    </form>
</details>
