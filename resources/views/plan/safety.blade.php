@php($new = $plan->newCautions())
<x-layout :title="'Safety · ' . $challenge->name" :challenge="$challenge" :record="$record" stage="plan">
    <x-plan-pages :challenge="$challenge" here="safety" />
    <div class="lead-in">
        <div class="prose"><h2>Safety sheet</h2><p class="small mt-1">For the materials of this challenge only: {{ $plan->kit->chassis }}, {{ $plan->kit->wheels }}, {{ $plan->kit->bearing }}, {{ $plan->kit->nozzle }}, {{ $plan->kit->joint }}, balloons {{ $plan->plan->latex_free ? 'free of latex' : 'of latex' }} filled {{ $plan->plan->by_mouth ? 'by mouth' : 'with a pump' }}. Change them under <a href="{{ route('materials.show', $challenge) }}">Materials</a>.</p></div>
        <button type="button" class="button no-print" data-print>Print</button>
    </div>
    @if ($new !== [])<p class="caution !mt-0 mb-4">The materials changed since you read this sheet: {{ implode(', ', array_map(fn ($caution) => mb_strtolower($caution->title()), $new)) }} came in.</p>@endif
    <x-caution-list :cautions="$plan->cautions()" :new="$new" />
    <form method="post" action="{{ route('safety.update', $challenge) }}" class="border-t border-rule py-5 mt-5 no-print">
        @csrf @method('put')
        @if ($challenge->safety_read_at === null)
            <p class="mb-3">Build opens when someone responsible has read this sheet.</p>
            <button class="button do">I have read it and hold it against our own rules</button>
        @else
            <p class="actions">@if ($new !== [])<button class="button do">I have read what is new</button>@else<a class="button do" href="{{ route('groups.index', $challenge) }}">To the groups and their cars</a>@endif <span class="small">Read on {{ $challenge->safety_read_at->format('j F Y') }}.</span></p>
        @endif
    </form>
</x-layout>
