@php
    $reached = $addresses[0] ?? null;
    $to = fn ($group) => ($reached ?? '') . route('join.scan', [$code->code, 'group' => $group->id], $reached === null);
@endphp
<x-layout :title="Text::of('device.cards.title', ['challenge' => $challenge->name])" :challenge="$challenge" :record="$record" stage="run">
    <div class="lead-in no-print"><div class="prose"><h2>{{ Text::of('device.cards.table_cards') }}</h2>
        <p class="small">{{ Text::of('device.cards.one_for_each_table', ['day' => Moment::dayAndTime($code->expires_at)]) }}</p>
        @if ($reached === null)<p class="caution">{!! Text::html('device.index.tablets_cant_reach_skivo_yet_it') !!}</p>@endif</div>
        <p class="actions"><button type="button" class="button do" data-print>{{ Text::of('device.cards.print') }}</button>
            <a class="button plain" href="{{ route('devices.index', $challenge) }}">{{ Text::of('frame.layout.tablets_and_the_board') }}</a></p></div>
    @if ($record->groups->isEmpty())<p>{{ Text::of('path.join.no_groups') }}</p>@endif
    <div class="labels">@foreach ($record->teams() as $group)
        <section class="label table-card" aria-label="{{ $group->name }}">
            <h3 class="with-mark">{{ Glyph::of($group->mark) }}<bdi>{{ $group->name }}</bdi></h3>
            @if ($builds->of($group) !== null)<p><strong>{{ $builds->of($group) }}</strong></p>@endif
            <div class="qr" data-qr="{{ $to($group) }}" aria-hidden="true"></div>
            <p class="small">{!! Text::html('device.cards.scan_or_type',
                ['address' => preg_replace('~^https?://~', '', $reached ?? url('/')) . '/join']) !!}</p>
            <p class="code-letters num"><code>{{ substr($code->code, 0, 3) }} {{ substr($code->code, 3) }}</code></p>
        </section>@endforeach</div>
</x-layout>
