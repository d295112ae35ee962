{{-- Who is at which lane, who is next, who repairs. Its buttons belong to the form #order, which stands outside of what is replaced. --}}
@php
    use App\Pages\Run\FloorState;
    use App\Language\Lists;
    use Skivo\Core\Car\Check\CheckVerdict;
    $name = fn ($group) => \Illuminate\Support\Str::limit($group->name, 28);
@endphp
@if ($record->groups->isNotEmpty())
    @if ($floor->changing !== [])<p class="small">{{ Text::of('design.asked.waits', [
        'groups' => Lists::and(array_map($name, $floor->changing), 6),
    ]) }}</p>@endif
    <div class="lanes">
        @foreach ($floor->lanes as $lane => $standing)
            <div class="lane-card">
                <p class="lane-name">{{ count($floor->lanes) === 1 ? Text::of('run.order.now') : Text::of('run.order.lane', ['lane' => $lane]) }}</p>
                @if ($standing === null)
                    <p class="small">{{ $floor->isOver ? Text::of('run.order.all_tries_are_in') : Text::of('run.order.nobody_ready') }}
                        @if ($floor->isOver && $loop->first && auth()->user()?->can('view', $challenge) === true)<a class="no-print"
                            href="{{ route('findings.show', $challenge) }}">{{ Text::of('run.order.see_the_answer') }}</a>@endif</p>
                @else
                    @php([$group] = $standing)
                    <button
                        type="button" class="lane-who" data-stand="{{ $group->id }}" data-lane-number="{{ $lane }}"
                        aria-label="{{ Text::of('run.order.log_its_run',
                            ['group' => $name($group), 'value' => $floor->nextRuns[$group->id]->words]) }}">
                        {{ Glyph::of($group->mark) }}<span>{!! Text::html('run.order.try_2',
                            ['group' => $name($group), 'what' => $floor->nextRuns[$group->id]->words]) !!}</span>
                    </button>
                    @if (($record->card($group)?->with(CheckVerdict::Fix) ?? []) !== [])<span
                        class="to-mend">{{ Text::of('run.order.needs_fixing') }}</span>@endif
                    <span class="lane-acts no-print">
                        <button
                            class="button plain" form="order" name="do" value="repair:{{ $group->id }}"
                            aria-label="{{ Text::of('run.order.repair', ['group' => $name($group)]) }}">{{ Text::of('run.order.repair_2') }}</button>
                        <button
                            class="button plain" form="order" name="do" value="skip:{{ $group->id }}"
                            aria-label="{{ Text::of('run.order.skip', ['group' => $name($group)]) }}">{{ Text::of('run.order.skip_2') }}</button>
                        <button
                            class="button plain" form="order" name="do" value="withdraw:{{ $group->id }}"
                            aria-label="{{ Text::of('run.order.withdraw', ['group' => $name($group)]) }}">{{ Text::of('run.order.withdraw_2') }}</button>
                    </span>
                @endif
            </div>
        @endforeach
        <div class="lane-then">
            @if ($floor->next !== [])<p>
                {!! Text::html('run.order.next', ['next' => Lists::and(array_map(fn ($next) => $name($next[0]), $floor->next), 5)]) !!}
            </p>@endif
            @foreach ($floor->repairing as $group)
                <p class="with-mark">{{ Glyph::of($group->mark) }}<bdi>{{ $name($group) }}</bdi>
                <span class="small">{{ Text::of('run.order.repairs') }}</span> <button
                    class="button plain no-print" form="order" name="do" value="ready:{{ $group->id }}"
                    aria-label="{{ Text::of('run.order.ready', ['group' => $name($group)]) }}">{{ Text::of('run.order.ready_2') }}</button>
                </p>
            @endforeach
            @foreach ($floor->withdrawn as $group)
                <p class="with-mark small">{{ Glyph::of($group->mark) }}<span>{!! Text::html('run.order.has_withdrawn',
                    ['group' => $name($group)]) !!}</span> <button
                    class="button plain no-print" form="order" name="do" value="return:{{ $group->id }}"
                    aria-label="{{ Text::of('run.order.come_back', ['group' => $name($group)]) }}">{{ Text::of('run.order.come_back_2') }}</button>
                </p>
            @endforeach
        </div>
    </div>
@endif
