{{-- A card for each table: its group, and the way in. --}}
@php
    $reached = $addresses[0] ?? null;
    $to = fn ($group) => ($reached ?? '') . route('join.scan', [$code->code, 'group' => $group->id], $reached === null);
@endphp
<div class="labels">@foreach ($record->teams() as $group)
    <section class="label table-card" aria-label="{{ $group->name }}">
        <h3 class="with-mark">{{ Glyph::of($group->mark) }}<bdi>{{ $group->name }}</bdi></h3>
        @if ($builds->of($group) !== null)<p><strong>{{ $builds->of($group) }}</strong></p>@endif
        <div class="qr" data-qr="{{ $to($group) }}" aria-hidden="true"></div>
        <p class="small">{!! Text::html('device.cards.scan_or_type',
            ['address' => preg_replace('~^https?://~', '', $reached ?? url('/')) . '/join']) !!}</p>
        <p class="code-letters num"><code>{{ substr($code->code, 0, 3) }} {{ substr($code->code, 3) }}</code></p>
    </section>@endforeach</div>
