{{-- Who is at which lane, who is next, who repairs. Its buttons belong to the form #order, which stands outside of what is replaced. --}}
@php
    use App\Reading\FloorState;
    use App\Wording\Lists;
    use Skivo\Core\Car\CheckVerdict;
    $name = fn ($group) => \Illuminate\Support\Str::limit($group->name, 28);
@endphp
@if ($record->groups->isNotEmpty())
    <div class="lanes">
        @foreach ($floor->lanes as $lane => $standing)
            <div class="lane-card">
                <p class="lane-name">{{ count($floor->lanes) === 1 ? 'Now' : "Lane {$lane}" }}</p>
                @if ($standing === null)
                    <p class="small">{{ $floor->isOver ? 'all tries are in' : 'nobody ready' }}</p>
                @else
                    @php([$group, $turn] = $standing)
                    <button type="button" class="lane-who" data-stand="{{ $group->id }}" data-lane-number="{{ $lane }}" aria-label="{{ $name($group) }}, {{ "try {$turn->try}" }}: log its run">
                        <x-mark :mark="$group->mark" /><span><bdi class="name">{{ $name($group) }}</bdi> <span class="small">try {{ $turn->try }}</span></span>
                    </button>
                    @if (($record->card($group)?->with(CheckVerdict::Fix) ?? []) !== [])<span class="to-mend">needs fixing</span>@endif
                    <span class="lane-acts no-print">
                        <button class="button plain" form="order" name="do" value="repair:{{ $group->id }}" aria-label="Repair: {{ $name($group) }}">Repair</button>
                        <button class="button plain" form="order" name="do" value="skip:{{ $group->id }}" aria-label="Skip: {{ $name($group) }}">Skip</button>
                        <button class="button plain" form="order" name="do" value="withdraw:{{ $group->id }}" aria-label="Withdraw: {{ $name($group) }}">Withdraw</button>
                    </span>
                @endif
            </div>
        @endforeach
        <div class="lane-then">
            @if ($floor->next !== [])<p><span class="small">Next</span> {{ Lists::and(array_map(fn ($next) => $name($next[0]), $floor->next), 5) }}</p>@endif
            @foreach ($floor->repairing as $group)
                <p class="with-mark"><x-mark :mark="$group->mark" /><bdi>{{ $name($group) }}</bdi> <span class="small">repairs</span> <button class="button plain no-print" form="order" name="do" value="ready:{{ $group->id }}" aria-label="Ready: {{ $name($group) }}">Ready</button></p>
            @endforeach
            @foreach ($floor->withdrawn as $group)
                <p class="with-mark small"><x-mark :mark="$group->mark" /><bdi>{{ $name($group) }}</bdi> has withdrawn <button class="button plain no-print" form="order" name="do" value="return:{{ $group->id }}" aria-label="Come back: {{ $name($group) }}">Come back</button></p>
            @endforeach
        </div>
    </div>
@endif
