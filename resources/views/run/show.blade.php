<x-layout :title="$challenge->name" :challenge="$challenge" :record="$record" stage="run" :line="$challenge->question" live>
    <form id="order" method="post" action="{{ route('order.update', $challenge) }}">@csrf @method('put')</form>
    <form id="undo" method="post" action="{{ route('undo', $challenge) }}">@csrf</form>
    <form method="post" action="{{ route('undo', $challenge) }}" hidden>@csrf<button data-key="u">Undo what was last done at this device</button></form>
    <section aria-label="Who runs" data-piece="order" class="no-print">@include('run.order')</section>
    <div class="run-layout">
        <section aria-label="The floor" class="min-w-0" data-piece="floor">@include('run.floor', ['fresh' => session('logged')])</section>
        <section class="said" aria-label="So far" data-piece="said">@include('run.said')</section>
    </div>
    <section class="pb-8" aria-label="Every car in figures" data-piece="figures">@include('run.figures')</section>
    @if (auth()->user() instanceof \App\Models\Device)
        <p class="pb-8 actions no-print"><a class="button" href="{{ route('runs.index', $challenge) }}">Every run: look, correct</a></p>
    @elseif ($record->groups->isNotEmpty())
        <p class="pb-8 actions no-print">
            <a class="button" href="{{ route('runs.index', $challenge) }}">Every run: correct, take back</a>
            <a class="button plain" href="{{ route('devices.index', $challenge) }}">Tablets and the board</a>
            <a class="button plain" href="{{ route('sheet.show', $challenge) }}">Class sheet (CSV)</a>
        </p>
    @endif
    @if ($record->groups->isNotEmpty())
        <x-slot:foot>@include('run.entry', ['groups' => $record->groups])</x-slot:foot>
    @endif
    <x-slot:keys>
        <dt><kbd>Enter</kbd></dt><dd>in a field of the strip: log the run</dd>
        <dt><kbd>g</kbd> <kbd>d</kbd> <kbd>t</kbd> <kbd>v</kbd> <kbd>n</kbd></dt><dd>go to group, distance, time, void, note (outside a field)</dd>
        <dt><kbd>w</kbd></dt><dd>open the stopwatch; then <kbd>Space</kbd> starts, splits and stops it</dd>
        <dt><kbd>m</kbd></dt><dd>more fields, or fewer</dd>
        <dt><kbd>u</kbd></dt><dd>undo what was last done at this device (outside a field)</dd>
    </x-slot:keys>
</x-layout>
