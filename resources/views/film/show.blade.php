@php
    use App\Pages\Run\RowLinks;
    use App\Language\RunWords;
    use Skivo\Core\Motion\Film\Sight;
    use Skivo\Core\Measurement\Scale;
    $units = $challenge->units;
    $name = $run === null ? '' : \Illuminate\Support\Str::limit($run->car->group->name, 60);
    $address = RowLinks::of('film.read', $challenge);
    $sight = new Sight();
@endphp
<x-layout
    :words="['film']" :title="$run === null ? Text::of('film.show.any_title') : Text::of('film.show.title', ['name' => $name])"
    :challenge="$challenge" :record="$record" stage="run" :line="$challenge->question">
    <div class="lead-in">
        @if ($run === null)
            <div><h2>{{ Text::of('film.show.any_run_in_one_picture') }}</h2></div>
        @else
            <div><h2 class="with-mark">{{ Glyph::of($run->car->group->mark) }}<span>{!! Text::html('film.show.run_in_one_picture',
                ['name' => $name, 'try' => $run->try]) !!}</span>
                </h2><p class="small mt-1">{{ RunWords::summary($run, $units) }}</p></div>
        @endif
        <a class="button" href="{{ $back }}">{{ Text::of('film.show.back') }}</a>
    </div>
    <div class="film" data-film data-units="{{ $units->value }}">
        @csrf
        <p class="prose">{{ Text::of('film.show.never_uploaded') }}</p>
        <div class="film-take">
            <div class="field"><label for="film-file">{{ Text::of('film.show.film') }}</label>
                <input id="film-file" type="file" accept="video/*" class="input" data-film-file></div>
            <div class="field"><label for="film-slower">{{ Text::of('film.show.slower') }}</label>
                <select id="film-slower" class="input" data-film-slower>
                    @foreach ([1, 2, 4, 8, 10] as $times)<option value="{{ $times }}">{{ Text::of(
                        $times === 1 ? 'film.show.as_it_was' : 'film.show.times_slower', ['times' => $times]) }}</option>@endforeach</select></div>
        </div>
        <p class="question" role="alert" data-film-fault hidden></p>
        <section data-film-mark hidden aria-labelledby="film-mark">
            <h3 id="film-mark">{{ Text::of('film.show.mark_the_lane') }}</h3>
            <p class="prose small">{{ Text::of('film.show.mark_how') }}</p>
            <p class="actions">
                <button type="button" class="button" data-film-at="first" aria-pressed="true">{{ Text::of('film.show.first_picture') }}</button>
                <button type="button" class="button" data-film-at="last" aria-pressed="false">{{ Text::of('film.show.last_picture') }}</button>
                <button type="button" class="button" data-film-turn>{{ Text::of('film.show.turn') }}</button>
                <button type="button" class="button" data-film-second aria-pressed="false">{{ Text::of('film.show.second_lane') }}</button>
            </p>
            <p class="actions" data-film-lanes hidden role="group" aria-label="{{ Text::of('film.show.which_lane') }}">
                @foreach ([0, 1] as $lane)<button type="button" class="button" data-film-lane="{{ $lane }}" aria-pressed="false">{{ Text::of(
                    "film.show.lane_{$lane}") }}</button>@endforeach</p>
            <div class="film-stage" data-film-stage><canvas data-film-frame></canvas><canvas class="film-loupe" data-film-loupe hidden></canvas>
                <svg data-film-handles aria-label="{{ Text::of('film.show.line_and_marks') }}"></svg></div>
            <div class="film-marks">
                <fieldset><legend>{{ Text::of('film.show.marks') }}</legend>
                    <ul data-film-list></ul>
                    <p class="actions"><button type="button" class="button" data-film-add="line">{{ Text::of('film.show.add_on_line') }}</button>
                        <button type="button" class="button" data-film-add="near">{{ Text::of('film.show.add_near') }}</button>
                        <button type="button" class="button" data-film-add="far">{{ Text::of('film.show.add_far') }}</button></p>
                </fieldset>
                <div class="film-heights">
                    <x-field
                        name="camera" :label="Text::of('film.show.camera')" inputmode="decimal"
                        :value="$units->show($sight->cameraM, Scale::Body)" :hint="Text::of('film.show.camera_why')" />
                    <x-field
                        name="followed" :label="Text::of('film.show.followed')" inputmode="decimal"
                        :value="$units->show($sight->heightM, Scale::Body, 1)" :hint="Text::of('film.show.followed_why')" />
                </div>
            </div>
            <p class="actions"><button type="button" class="button do" data-film-read>{{ Text::of('film.show.read') }}</button>
                <progress data-film-progress max="1" value="0" hidden aria-label="{{ Text::of('film.show.reading') }}"></progress></p>
        </section>
        <section class="film-result" data-film-result hidden aria-labelledby="film-picture">
            <h3 id="film-picture">{{ Text::of('film.show.one_picture') }}</h3>
            <p class="small prose">{{ Text::of('film.show.one_picture_how') }}</p>
            <p class="actions" data-film-takes hidden role="group" aria-label="{{ Text::of('film.show.which_run') }}"></p>
            <div class="film-both">
                <div>
                    <div class="film-strip"><canvas data-film-strip></canvas><svg data-film-curve aria-label="{{ Text::of('film.show.curve') }}"></svg></div>
                    <div class="film-tape" data-film-tape aria-hidden="true"></div>
                    <p class="small">{{ Text::of('film.show.rings_how') }}</p>
                    <details class="disclosure"><summary>{{ Text::of('film.show.as_a_table') }}</summary>
                        <table class="figures-table w-auto"><thead><tr><th scope="col" class="num">{{ Text::of('film.show.moment') }}</th>
                            <th scope="col" class="num">{{ Text::of('film.show.pixel') }}</th><th scope="col">{{ Text::of('film.show.from') }}</th>
                            <th></th></tr></thead><tbody data-film-table></tbody></table>
                        <p class="actions"><button type="button" class="button" data-film-ring>{{ Text::of('film.show.add_ring') }}</button></p>
                    </details>
                </div>
                <div class="film-says" aria-live="polite">
                    <h3>{{ Text::of('film.show.says') }}</h3>
                    <dl data-film-says></dl>
                    <div class="prose small" data-film-notes></div>
                    <div class="field mt-4" data-film-mine hidden><label for="film-of">{{ Text::of('film.show.of') }}</label>
                        <select id="film-of" class="input" data-film-of>
                            @foreach ($runs as $each)<option
                                value="{{ $address($each->id) }}">{{ RunWords::summary($each, $units) }}</option>@endforeach
                            @if ($waits)@for ($lane = 1; $lane <= $challenge->lanes; $lane++)<option
                                value="{{ route('film.any', [$challenge, 'lane' => $lane], absolute: false) }}"
                                @selected($run === null && $lane === 1)>{{ $challenge->lanes === 1 ? Text::of('film.show.next_run')
                                : Text::of('film.show.next_run_at', ['lane' => $lane]) }}</option>@endfor
                            @endif
                        </select></div>
                    <button type="button" class="button do" data-film-keep hidden>{{ Text::of('film.show.keep') }}</button>
                </div>
            </div>
        </section>
        <video data-film-video muted playsinline preload="auto" hidden></video>
    </div>
</x-layout>
