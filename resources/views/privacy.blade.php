@php
    use App\Actions\PurgeRemoved;
    $months = config('skivo.retention_months');
    $retention = $months === null ? Text::of('privacy.retention.none') : Text::of('privacy.retention.months', ['months' => $months]);
@endphp
<x-layout :title="Text::of('privacy.title')" :line="Text::of('privacy.line')">
    <div class="scroll-x py-4" tabindex="0" role="region" aria-label="{{ Text::of('privacy.title') }}">
        <table class="figures-table"><thead><tr><th scope="col">{{ Text::of('privacy.what') }}</th>
            <th scope="col">{{ Text::of('privacy.how_long') }}</th></tr></thead>
            <tbody>@foreach (['account', 'sign_ins', 'class', 'notebook', 'tablets', 'removed', 'films'] as $row)<tr>
                <td class="prose">{{ Text::of("privacy.rows.{$row}.0") }}</td>
                <td class="prose">{{ Text::of("privacy.rows.{$row}.1", ['days' => PurgeRemoved::SIGN_INS_DAYS, 'removed' => PurgeRemoved::DAYS,
                    'retention' => $retention]) }}</td></tr>@endforeach</tbody></table>
    </div>
    <p class="prose"><strong>{{ Text::of('privacy.where') }}:</strong> {{ Text::of('privacy.here') }}.</p>
    <p class="prose mt-3">{{ Text::of('privacy.nothing_leaves') }}</p>
    <p class="prose mt-3">{{ Text::of('privacy.yours') }}</p>
    <p class="prose mt-3 pb-8">{{ Text::of('privacy.school') }}</p>
</x-layout>
