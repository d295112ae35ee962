@props(['order', 'groups', 'challenge', 'again' => null])
@php
    $list = $groups->values();
    $name = fn (int $index) => $list[$index]->name ?? Text::of('plan.run_order.group', ['index' => $index + 1]);
@endphp
<div class="scroll-x" tabindex="0" role="region" aria-label="{{ Text::of('plan.run_order.heat_by_heat') }}">
    <table class="figures-table run-order">
        <thead><tr><th scope="col">{{ Text::of('plan.run_order.heat') }}</th>
                @for ($lane = 1; $lane <= $order->lanes; $lane++)<th scope="col">
                    {{ $order->lanes === 1 ? Text::of('plan.run_order.on_the_lane') : Text::of('plan.run_order.lane', ['lane' => $lane]) }}
                </th>@endfor</tr></thead>
        <tbody>
            @foreach ($again === null ? [[$order, false]] : [[$order, false], [$again, true]] as [$part, $isAgain])
            @if ($isAgain)<tr><th scope="rowgroup" colspan="{{ $order->lanes + 1 }}">{{ Text::of('plan.run_order.after_the_change') }}</th></tr>@endif
            @foreach ($part->byHeat() as $heat => $turns)
                <tr>
                    <th scope="row" class="num text-left">{{ $heat }}</th>
                    @for ($lane = 1; $lane <= $order->lanes; $lane++)
                        <td>@isset($turns[$lane])<span class="with-mark">
                            @php($group = $list[$turns[$lane]->group] ?? null)
                            {{ $group === null ? '' : Glyph::of($group->mark) }}{!! Text::html('plan.run_order.try', [
                            'group' => \Illuminate\Support\Str::limit($name($turns[$lane]->group), 32),
                            'try' => $isAgain ? Text::of('plan.run_order.a_try', ['n' => $turns[$lane]->try])
                            : \App\Pages\Plan\PlanWords::turn($challenge, $turns[$lane]->try),
                        ]) !!}</span>@else<span class="small">{{ Text::of('plan.run_order.free') }}</span>@endisset
                        </td>
                    @endfor
                </tr>
            @endforeach
            @endforeach
        </tbody>
    </table>
</div>
