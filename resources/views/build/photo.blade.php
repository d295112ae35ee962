@php
    use Skivo\Core\Measurement\Scale;
    $units = $challenge->units;
    $name = \Illuminate\Support\Str::limit($group->name, 60);
@endphp
<x-layout
    :words="['photo', 'film']" :title="Text::of('photo.show.title', ['group' => $name])" :challenge="$challenge" :record="$record" stage="build"
    :line="$challenge->question">
    <div class="lead-in">
        <h2 class="with-mark">{{ Glyph::of($group->mark) }}<span>{!! Text::html('photo.show.sizes_from_a_photo', ['group' => $name]) !!}</span></h2>
        <a class="button" href="{{ route('cars.edit', [$challenge, $group]) }}">{{ Text::of('photo.show.back') }}</a>
    </div>
    <div class="film" data-sizing data-address="{{ route('cars.photo', [$challenge, $group], absolute: false) }}" data-units="{{ $units->value }}"
        data-unit="{{ $units->symbol(Scale::Body) }}">
        @csrf
        <p class="prose">{{ Text::of('photo.show.how') }}</p>
        <div class="film-take">
            <div class="field"><label for="photo-file">{{ Text::of('photo.show.photo') }}</label>
                <input id="photo-file" type="file" accept="image/*" class="input" data-sizing-file></div>
            @if ($photos->isNotEmpty())
                <div class="field"><span class="label">{{ Text::of('photo.show.from_notebook') }}</span>
                    <div class="photo-strip">@foreach ($photos as $index => $photo)<button type="button" data-sizing-take="{{ $photo }}"><img
                        src="{{ $photo }}" alt="{{ Text::of('photo.show.notebook_photo', ['n' => $index + 1]) }}" loading="lazy"></button>@endforeach</div>
                </div>
            @endif
        </div>
        <p class="question" role="alert" data-sizing-fault hidden></p>
        <section data-sizing-measure hidden aria-labelledby="photo-measure">
            <h3 id="photo-measure">{{ Text::of('photo.show.measure') }}</h3>
            <p class="prose small">{{ Text::of('photo.show.measure_how') }}</p>
            <div class="film-both">
                <div class="film-stage"><canvas data-sizing-picture></canvas><canvas class="film-loupe" data-sizing-loupe hidden></canvas>
                    <svg data-sizing-handles aria-label="{{ Text::of('photo.show.lines') }}"></svg></div>
                <div class="film-says">
                    <ul class="photo-lines" data-sizing-list></ul>
                    <p class="actions"><button type="button" class="button" data-sizing-known>{{ Text::of('photo.show.known') }}</button></p>
                    <fieldset><legend>{{ Text::of('photo.show.add') }}</legend>
                        <p class="actions">@foreach ($parts as $part)<button
                            type="button" class="button" data-sizing-part="{{ $part->value }}">{{ Label::title($part) }}</button>@endforeach</p></fieldset>
                    <div aria-live="polite"><p class="question" data-sizing-note hidden></p></div>
                    <p class="small">{{ Text::of('photo.show.plus_minus') }} {{ Text::of('photo.show.circumference') }}</p>
                    <p><a class="button do" data-sizing-fill hidden>{{ Text::of('photo.show.fill') }}</a></p>
                    <p class="small">{{ Text::of('photo.show.not_saved_yet') }}</p>
                </div>
            </div>
        </section>
    </div>
</x-layout>
