@use('Skivo\Core\Notebook\Sketch')
<x-layout
    :title="$group->name" :challenge="$challenge" :record="$record" :heading="$group->name" :line="$challenge->question ?? $challenge->name" live="page"
    :words="['outbox']">
    <x-path-head :challenge="$challenge" :group="$group" :own="$own" :words="$words" :here="$here" />
    <x-errors />
    <div class="lead-in"><div><h2>{{ Text::of('path.page.notebook') }}</h2><p class="prose">{{ $words->say('notebook.lead') }}</p></div>
        <button type="button" class="button no-print" data-print>{{ Text::of('path.page.print') }}</button></div>
    <div class="notebook-tools no-print">
        <details name="tool" open><summary class="button">{{ $words->say('notebook.note') }}</summary>
            <x-notebook-form kind="note" :challenge="$challenge" :group="$group" :label="$words->say('notebook.note')" is-named /></details>
        <details name="tool"><summary class="button">{{ $words->say('notebook.wish') }}</summary>
            <x-notebook-form kind="wish" :challenge="$challenge" :group="$group" :label="$words->say('notebook.wish')" is-named /></details>
        <details name="tool"><summary class="button">{{ $words->say('notebook.sketch') }}</summary>
        <form method="post" action="{{ route('path.store', [$challenge, $group]) }}" class="notebook-form" data-outbox="reload" data-sketch>
            @csrf<input type="hidden" name="kind" value="sketch"><input type="hidden" name="strokes" value="">
            <div class="pens" role="group" aria-label="{{ $words->say('notebook.sketch') }}">@foreach (Sketch::PENS as $pen)<button
                type="button" class="pen pen-{{ $pen }}" data-pen="{{ $pen }}" aria-pressed="{{ $loop->first ? 'true' : 'false' }}"
                aria-label="{{ Text::of('path.page.pen', ['pen' => Text::of("path.page.{$pen}")]) }}"></button>@endforeach
                <button type="button" class="button plain" data-sketch-undo>{{ Text::of('path.page.undo') }}</button>
                <button type="button" class="button plain" data-sketch-clear>{{ Text::of('path.page.clear') }}</button></div>
            <canvas class="sketch-pad" width="{{ Sketch::WIDTH }}" height="{{ Sketch::HEIGHT }}" role="img"
                aria-label="{{ Text::of('path.page.draw_here') }}"></canvas>
            <p><button class="button">{{ Text::of('path.page.save') }}</button></p>
        </form></details>
        <details name="tool"><summary class="button">{{ $words->say('notebook.photo') }}</summary>
        <form method="post" action="{{ route('path.store', [$challenge, $group]) }}" class="notebook-form" enctype="multipart/form-data" data-outbox="reload"
            data-photo>
            @csrf<input type="hidden" name="kind" value="photo">
            <p class="small">{{ $words->say('notebook.photo_of') }}</p>
            <label class="sr-only" for="f-photo">{{ Text::of('path.page.choose_photo') }}</label>
            <input id="f-photo" type="file" name="photo" accept="image/jpeg,image/png,image/webp" class="input">
            <label class="field-label" for="f-photo-text">{{ Text::of('path.page.photo_text') }}</label>
            <input id="f-photo-text" name="text" class="input" maxlength="200" data-draft="photo">
            <p><button class="button">{{ Text::of('path.page.save') }}</button></p>
        </form></details>
    </div>
    <x-notebook-lines :notebook="$pages" :challenge="$challenge" :group="$group" :words="$words" />
    <x-path-foot :challenge="$challenge" :group="$group" :wants="$own->wantsAdult" />
</x-layout>
