@php
    use App\Pages\Paper\Pack;
    use App\Pages\Paper\Paper;
    use App\Pages\Plan\StepWords;
@endphp
<x-layout :title="Text::of('paper.title', ['challenge' => $challenge->name])" :challenge="$challenge" :record="$record" stage="plan">
    <x-plan-pages :challenge="$challenge" here="pack" />
    <div class="lead-in no-print">
        <div class="prose"><h2>{{ Text::of('paper.heading') }}</h2><p class="mt-1">{{ Text::of('paper.what') }}</p></div>
        <p class="actions"><button type="button" class="button do" data-print>{{ Text::plural('paper.print', $pack->sides()) }}</button></p>
    </div>
    <form method="get" action="{{ route('pack.show', $challenge) }}" class="pack-form no-print">
        <fieldset class="pack-list"><legend class="sr-only">{{ Text::of('paper.heading') }}</legend>
            @foreach (Paper::cases() as $paper)<label class="pack-line">
                @if ($paper->isForEachGroup())<input type="checkbox" name="{{ $paper->value }}" value="1" @checked($pack->copiesOf($paper) > 0)>
                @else<input class="input num" type="number" min="0" max="{{ Pack::MOST }}" name="{{ $paper->value }}"
                    value="{{ $pack->copiesOf($paper) }}"
                    aria-label="{{ Text::of('paper.copies', ['paper' => Text::of("paper.{$paper->value}.name")]) }}">@endif
                <span><strong>{{ Text::of("paper.{$paper->value}.name") }}</strong> {{ Text::of("paper.{$paper->value}.what") }}</span>
                <span class="small num">{{ Text::plural('paper.sides', $pack->pages[$paper->value]) }}</span></label>@endforeach
        </fieldset>
        <p class="actions"><label class="sr-only" for="size">{{ Text::of('paper.size') }}</label><select class="input" id="size" name="size">
            <option value="a4" @selected(! $pack->isOnLetter)>{{ Text::of('paper.a4') }}</option>
            <option value="letter" @selected($pack->isOnLetter)>{{ Text::of('paper.letter') }}</option></select>
            <button class="button">{{ Text::of('paper.update') }}</button></p>
    </form>
    <div @class(['pack', 'on-letter' => $pack->isOnLetter]) data-part="pack" tabindex="0" role="region" aria-label="{{ Text::of('paper.preview') }}">
        @for ($copy = 0; $copy < $pack->copiesOf(Paper::Brief); $copy++)<section class="paper">@include('paper.brief')</section>@endfor
        @for ($copy = 0; $copy < $pack->copiesOf(Paper::Safety); $copy++)<section class="paper">
            <h2>{{ Text::of('plan.safety.safety_sheet') }}</h2><x-caution-list :cautions="$plan->safety()->cautions()" /></section>@endfor
        @for ($copy = 0; $copy < $pack->copiesOf(Paper::Prepare); $copy++)<section class="paper">@include('paper.prepare')</section>@endfor
        @for ($copy = 0; $copy < $pack->copiesOf(Paper::Helpers); $copy++)<section class="paper">@include('paper.helpers')</section>@endfor
        @foreach ($pack->booklets as [$of, $copies])
            @for ($copy = 0; $copy < $copies; $copy++)@include('paper.booklet', ['plan' => $of, 'layout' => $of->kitLayout(),
                'words' => new StepWords($of->classSteps(), $challenge->units)])@endfor
        @endforeach
        @for ($copy = 0; $copy < $pack->copiesOf(Paper::Templates); $copy++)@include('paper.templates', ['sheets' => $pack->templates,
            'isOnLetter' => $pack->isOnLetter])@endfor
        @if ($pack->copiesOf(Paper::Labels) > 0)<section class="paper">@include('paper.labels')</section>@endif
        @if ($code !== null)<section class="paper">@include('paper.cards')</section>@endif
        @for ($copy = 0; $copy < $pack->copiesOf(Paper::Order); $copy++)<section class="paper">
            <h2>{{ Text::of('paper.order.name') }}</h2><x-run-order :order="$order" :again="$timetable->runsAgain" :groups="$record->groups"
                :challenge="$challenge" /></section>@endfor
        @if ($notebooks !== null)<section class="paper">@include('paper.notebooks', get_object_vars($notebooks))</section>@endif
        @if ($pack->copiesOf(Paper::Tape) > 0)@include('paper.templates', ['sheets' => $pack->tape, 'isOnLetter' => $pack->isOnLetter])@endif
    </div>
</x-layout>
