@php
    use App\Wording\CarWords;
    use Skivo\Core\Measurement\Scale;
    $units = $challenge->units;
@endphp
<x-layout :title="'Versions of ' . $group->name" :challenge="$challenge" :record="$record" stage="build" :line="$challenge->question">
    <div class="lead-in">
        <h2 class="with-mark"><x-mark :mark="$group->mark" class="!w-7 !h-7" /><span>What became of <bdi>{{ \App\Wording\Phrase::possessive(\Illuminate\Support\Str::limit($group->name, 80)) }}</bdi> car</span></h2>
        <a class="button" href="{{ route('cars.edit', [$challenge, $group]) }}">To the build sheet</a>
    </div>
    @if ($group->cars->isEmpty())<p>The car is not recorded yet.</p>@endif
    <ol class="versions">
        @foreach ($group->cars as $index => $car)
            @php([$before, $distances] = [$index > 0 ? $group->cars[$index - 1] : null, $record->tries($car)->distances()])
            <li>
                <h3>Version {{ $car->version }} <span class="small">{{ $distances === null ? 'has not run' : ($distances->n === 1 ? 'one try, ' : "{$distances->n} tries, mean ") . $units->show($distances->mean(), Scale::Distance) }}</span></h3>
                @if ($before === null)
                    <dl class="parts-list">@foreach (CarWords::parts($car->choices, $units) as $part => $words)<div><dt>{{ $part }}</dt><dd><bdi>{{ $words }}</bdi></dd></div>@endforeach</dl>
                @else
                    <p><bdi>{{ CarWords::change($before->choices, $car->choices, $units) }}</bdi></p>
                    @if ($car->reason)<p class="small">“<bdi>{{ $car->reason }}</bdi>”</p>@endif
                @endif
                @foreach ($car->changes as $change)
                    <p class="small">Record corrected by {{ $change->by() }}, {{ $change->made_at->format('j F Y, H:i') }}: <bdi>{{ implode('; ', array_map(fn ($key) => mb_strtolower(\Skivo\Core\Car\Choice::tryFrom($key)?->label() ?? $key) . ' ' . ($change->before[$key] ?? 'none') . ' to ' . ($change->after[$key] ?? 'none'), array_keys($change->after))) }}</bdi>.</p>
                @endforeach
            </li>
        @endforeach
    </ol>
</x-layout>
