@php
    use App\Language\CarWords;
    use Skivo\Core\Car\Attribute\Step;
    use Skivo\Core\Notebook\Closing;
    $free = array_filter($challenge->rules()->free, fn (Step $step) => $step !== Step::Floor);
    $taps = $own->closing();
@endphp
<x-layout
    :title="$group->name" :challenge="$challenge" :record="$record" :heading="$group->name" :line="$challenge->question ?? $challenge->name" live="page"
    :words="['outbox']">
    <x-path-head :challenge="$challenge" :group="$group" :own="$own" :words="$words" :here="$here" />
    <x-errors />
    @if ($asked !== null)
        <section class="asked-change mb-5" aria-labelledby="asked-title">
            <h2 id="asked-title">{{ $words->say('change.asked') }}</h2>
            <p class="prose mt-1"><strong>{{ $asked }}</strong> {{ $words->say('change.asked_only') }}</p>
            <form method="post" action="{{ route('groups.changed', [$challenge, $group]) }}" class="mt-3">@csrf @method('put')
                <button class="button do">{{ $words->say('change.asked_done') }}</button></form>
        </section>
    @endif
    <h2>{{ $words->say('change.lead') }}</h2>
    <p class="prose mt-1">{{ $words->say('change.two') }}</p>
    @if ($own->before !== null)<p class="prose mt-2"><strong>{{ $words->say('change.last') }}</strong>
        {{ CarWords::change($own->before, $own->car, $challenge->units) }}</p>@endif
    <h3 class="mt-4">{{ $words->say('change.pick') }}</h3>
    <ul class="change-parts">@foreach ($free === [] ? Step::ofCar() : $free as $step)
        <li><a class="button" href="{{ route('cars.edit', [$challenge, $group, 'changed' => 1]) }}#{{ $step->value }}">{{
            Label::of($step) }}</a></li>@endforeach</ul>
    <section class="mt-5" aria-labelledby="wish-title">
        <h3 id="wish-title">{{ $words->say('change.wishes') }}</h3>
        @if ($own->wishes()->isEmpty())<p class="small">{{ $words->say('change.no_wishes') }}</p>@endif
        <ul class="wishes">@foreach ($own->wishes() as $wish)<li><bdi>{{ $wish->text() }}</bdi></li>@endforeach</ul>
        <x-notebook-form kind="wish" :challenge="$challenge" :group="$group" :label="$words->say('notebook.wish')" />
    </section>
    @if ($challenge->closing_is_open)
        <section class="mt-6 closing-round" aria-labelledby="closing-title">
            <h2 id="closing-title">{{ $words->say('closing.lead') }}</h2>
            @foreach (Closing::cases() as $question)
                <form method="post" action="{{ route('path.store', [$challenge, $group]) }}" data-outbox="reload" class="mt-3">
                    @csrf<input type="hidden" name="kind" value="closing"><input type="hidden" name="question" value="{{ $question->value }}">
                    <p><strong>{{ $words->say("closing.{$question->value}") }}</strong></p>
                    <div class="quick-ticks">@foreach ($question->answers() as $answer)<button class="button" name="answer" value="{{ $answer }}"
                        aria-pressed="{{ ($taps[$question->value] ?? null) === $answer ? 'true' : 'false' }}">
                            {{ Text::of("path.closing_answer.{$answer}") }}</button>
                    @endforeach</div></form>
            @endforeach
            @if (count($taps) === count(Closing::cases()))<p class="mt-3">{{ $words->say('closing.thanks') }}</p>@endif
        </section>
    @endif
    <x-path-foot :challenge="$challenge" :group="$group" :wants="$own->wantsAdult" />
</x-layout>
