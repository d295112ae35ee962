@use('App\Language\FactorWords')
@use('App\Pages\Plan\PlannedAnswerWords')
@use('Skivo\Core\Measurement\Scale')
<x-layout :title="Text::of('library.show.title')">
    <p class="prose py-4">{{ Text::of('library.show.what') }}</p>
    <div class="library">
        @foreach ($plans as $plan)
            <article>
                <h2>{{ Text::of("library.plan.{$plan->value}.name") }}</h2>
                <p class="strong">{{ FactorWords::question($plan->question()) }}</p>
                <p>{{ Text::of("library.plan.{$plan->value}.about") }}</p>
                <p>{{ Text::of('library.show.compares', [
                    ...PlannedAnswerWords::two($plan->contrast(), $units),
                ]) }} {{ Text::of($plan->design()->isRebuilt() ? 'library.show.rebuilt' : 'library.show.halves') }}</p>
                <p class="small">{{ Text::of('library.show.for', [
                    'age' => $plan->age()->value,
                    'sessions' => implode(' + ', array_map(fn ($minutes) => Text::of('library.show.minutes', ['minutes' => $minutes]), $plan->sessionsMin())),
                    'groups' => $plan->groups(), 'tries' => $plan->tries(), 'lane' => $units->show($plan->laneM(), Scale::Lane),
                ]) }}</p>
                <form method="post" action="{{ route('library.store', $plan->value) }}">@csrf
                    <button class="button do">{{ Text::of('library.show.set') }}</button></form>
            </article>
        @endforeach
    </div>
</x-layout>
