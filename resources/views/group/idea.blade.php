@php
    use Skivo\Core\Car\Attribute\Step;
    use Skivo\Core\Forecast\Direction;
    use Skivo\Core\Measurement\Scale;
    $free = $challenge->rules()->free;
    $far = fn (float $m) => $challenge->units->show($m, Scale::Distance);
@endphp
<x-layout
    :title="$group->name" :challenge="$challenge" :record="$record" :heading="$group->name" :line="$challenge->question ?? $challenge->name" live="page"
    :words="['outbox']">
    <x-path-head :challenge="$challenge" :group="$group" :own="$own" :words="$words" :here="$here" />
    <x-errors />
    <div class="path-two">
        <section aria-labelledby="idea-title">
            <h2 id="idea-title">{{ $challenge->question ?? $challenge->name }}</h2>
            @if ($builds !== null)<p class="mt-1"><strong>{{ $builds }}</strong></p>@endif
            <p class="prose mt-1">{{ $words->say('idea.lead') }}</p>
            <div class="path-car"><x-car-drawing
                :layout="$reading->layout" :faults="$reading->faults" :units="$challenge->units" :terms="false" :known="$reading->known()"
                :leads="route('cars.edit', [$challenge, $group])" /></div>
            <p class="mt-2">@if (! $challenge->rules()->isFreeDesign()){{ $words->say('idea.free') }}
                <strong>{{ \App\Language\Lists::and(array_map(fn (Step $step) => Label::inside($step), $free), 7) }}</strong>.
                {{ $words->say('idea.held') }}@endif</p>
            <p class="actions mt-3"><a class="button do" href="{{ route('cars.edit', [$challenge, $group]) }}">{{ $own->car->isEmpty()
                ? Text::of('path.page.pick_parts') : Text::of('path.page.change_parts') }}</a></p>
        </section>
        @if ($warmUps->rows !== [])
        <section aria-labelledby="warm-title">
            <h2 id="warm-title">{{ $words->say('idea.warm_up') }}</h2>
            <ul class="warm-ups">@foreach ($warmUps->rows as $row)
                <li class="warm-up">
                    <p><strong>{{ $words->say("warm_up.{$row['question']->value}") }}</strong> {{ $words->say('idea.what_then') }}</p>
                    @if ($row['answer'] === null)
                        <form method="post" action="{{ route('path.store', [$challenge, $group]) }}" class="quick-ticks" data-outbox="reload">
                            @csrf<input type="hidden" name="kind" value="warm_up"><input type="hidden" name="question" value="{{ $row['question']->value }}">
                            @foreach (Direction::cases() as $direction)<button class="button" name="answer"
                                value="{{ $direction->value }}">{{ $words->say("direction.{$direction->value}") }}</button>@endforeach</form>
                    @else
                        <p class="small">{{ $words->say("direction.{$row['answer']->value}") }} –
                            <strong>{{ $words->say($row['answer'] === $row['truth'] ? 'idea.right' : 'idea.other') }}</strong></p>
                        <p class="small">{{ $words->say('idea.we_tried', ['after' => $far($row['after']), 'before' => $far($row['before'])]) }}
                            {{ $words->say("because.{$row['question']->value}") }}</p>
                        @if ($row['class'] !== null)<p class="small"><strong>{{ $words->say("idea.class.{$row['class']->value}") }}</strong></p>@endif
                    @endif
                </li>@endforeach</ul>
        </section>
        @endif
    </div>
    <x-path-foot :challenge="$challenge" :group="$group" :wants="$own->wantsAdult" />
</x-layout>
