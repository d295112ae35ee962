@props(['order', 'groups'])
@php
    $list = $groups->values();
    $name = fn (int $index) => $list[$index]->name ?? 'Group ' . ($index + 1);
@endphp
<div class="scroll-x" tabindex="0" role="region" aria-label="Heat by heat">
    <table class="figures-table run-order">
        <thead><tr><th scope="col">Heat</th>@for ($lane = 1; $lane <= $order->lanes; $lane++)<th scope="col">{{ $order->lanes === 1 ? 'On the lane' : "Lane {$lane}" }}</th>@endfor</tr></thead>
        <tbody>
            @foreach ($order->byHeat() as $heat => $turns)
                <tr>
                    <th scope="row" class="num !text-left">{{ $heat }}</th>
                    @for ($lane = 1; $lane <= $order->lanes; $lane++)
                        <td>@isset($turns[$lane])<span class="with-mark">@isset($list[$turns[$lane]->group])<x-mark :mark="$list[$turns[$lane]->group]->mark" />@endisset<span><bdi>{{ \Illuminate\Support\Str::limit($name($turns[$lane]->group), 32) }}</bdi> <span class="small">try {{ $turns[$lane]->try }}</span></span></span>@else<span class="small">free</span>@endisset</td>
                    @endfor
                </tr>
            @endforeach
        </tbody>
    </table>
</div>
