@php
    use App\Language\CarWords;
    use Skivo\Core\Measurement\Scale;
    $units = $challenge->units;
@endphp
<x-layout
    :title="Text::of('build.versions.versions_of', ['group' => $group->name])" :challenge="$challenge" :record="$record"
    stage="build" :line="$challenge->question">
    <div class="lead-in">
        <h2 class="with-mark">{{ Glyph::of($group->mark) }}<span>{!! Text::html('build.versions.what_became_of_car', [
            'group' => \App\Language\Phrase::possessive(\Illuminate\Support\Str::limit($group->name, 80)),
        ]) !!}</span>
        </h2>
        <a class="button" href="{{ route('cars.edit', [$challenge, $group]) }}">{{ Text::of('build.versions.to_the_build_sheet') }}</a>
    </div>
    @if ($group->cars->isEmpty())<p>{{ Text::of('build.versions.the_car_is_not_recorded_yet') }}</p>@endif
    <ol class="versions">
        @foreach ($group->cars as $index => $car)
            @php([$before, $distances] = [$index > 0 ? $group->cars[$index - 1] : null, $record->tries($car)->distances()])
            <li>
                <h3>
                    {!! Text::html('build.versions.version', [
                        'version' => $car->version,
                        'runs' => $distances === null ? Text::of('build.versions.has_not_run') : ($distances->n === 1 ?
                        Text::of('build.versions.one_try') . ' ' : Text::of('build.versions.tries_mean', ['n' => $distances->n]) . ' ') .
                        \App\Language\ReachWords::mean($record->tries($car), $units),
                    ]) !!}
                </h3>
                @if ($before === null)
                    <dl class="parts-list">@foreach (CarWords::parts($car->choices, $units) as $part => $words)
                        <div><dt>{{ $part }}</dt><dd><bdi>{{ $words }}</bdi></dd></div>@endforeach</dl>
                @else
                    <p><bdi>{{ CarWords::change($before->choices, $car->choices, $units) }}</bdi></p>
                    @if ($car->reason)<p class="small">“<bdi>{{ $car->reason }}</bdi>”</p>@endif
                @endif
                @foreach ($car->changes as $change)
                    <p class="small">
                        {!! Text::html('build.versions.record_corrected_by', [
                            'by' => $change->by(),
                            'at' => Moment::dayAndTime($change->made_at),
                            'after' => implode('; ', array_map(fn ($key) => Text::of('build.versions.to', ['attribute' => ($attribute =
                            \Skivo\Core\Car\Attribute\CarAttribute::tryFrom($key)) === null ? $key : Label::inside($attribute), 'before' =>
                            $change->before[$key] ?? Text::of('build.versions.none'), 'after' => $change->after[$key] ??
                            Text::of('build.versions.none')]), array_keys($change->after))),
                        ]) !!}
                    </p>
                @endforeach
            </li>
        @endforeach
    </ol>
</x-layout>
