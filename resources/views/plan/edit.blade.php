<x-layout :title="Text::of('challenge.edit.plan', ['challenge' => $challenge->name])" :challenge="$challenge" :record="$record" stage="plan">
    <x-plan-pages :challenge="$challenge" here="rules" />
    @if ($plan->plan->note_from_last_time !== null)<p class="told"><span><strong>{{ Text::of('challenge.edit.from_last_time') }}</strong>
        <bdi>{{ $plan->plan->note_from_last_time }}</bdi></span></p>@endif
    @if ($canBeAnswered)
        <section class="planned-answer" aria-labelledby="chance">
            <h2 id="chance">{{ Text::of('plan.chance.title') }}</h2>
            @if ($chance !== null)@include('plan.chance', ['words' => $chance])
            @else<div data-later="{{ route('plan.chance', [$challenge, 'part' => 1], absolute: false) }}" role="status"><a
                href="{{ route('plan.chance', $challenge) }}">{{ Text::of('plan.chance.work_it_out') }}</a></div>@endif
        </section>
    @endif
    <section class="plan-time" aria-labelledby="plan-time">
        <h2 id="plan-time" class="sr-only">{{ Text::of('plan.plan_pages.timetable') }}</h2>
        <p><strong>{{ $fit->lead }}</strong> {{ $fit->rest }}
            <a href="{{ route('timetable.show', $challenge) }}">{{ Text::of('plan.plan_pages.timetable') }}</a></p>
        @foreach ($timetable->sessionsMin as $session => $minutes)<x-timeline :timetable="$timetable"
            :start="$plan->plan->startOf($session)" :session="$session" />@endforeach
    </section>
    <form method="post" action="{{ route('challenges.update', $challenge) }}" class="pt-2">
        @csrf @method('put')
        @include('plan.form')
        <p class="actions border-t border-rule py-5">
            <button class="button do">{{ Text::of('challenge.edit.save_the_rules') }}</button>
            <a class="button plain" href="{{ route('pack.show', $challenge) }}">{{ Text::of('plan.plan_pages.pack') }}</a>
        </p>
    </form>
    @can('update', $challenge)<details class="disclosure no-print" @error('note_for_next_time') open @enderror>
        <summary>{{ Text::of('challenge.edit.for_next_time') }}</summary>
        <form method="post" action="{{ route('plan.note', $challenge) }}" class="py-3 grid gap-2 max-w-2xl">@csrf @method('put')
            <label for="f-note_for_next_time" class="small">{{ Text::of('challenge.edit.for_next_time_what') }}</label>
            <textarea class="input" id="f-note_for_next_time" name="note_for_next_time" rows="3"
                maxlength="2000">{{ old('note_for_next_time', $plan->plan->note_for_next_time) }}</textarea>
            @error('note_for_next_time')<p class="error">{{ $message }}</p>@enderror
            <p><button class="button">{{ Text::of('challenge.edit.save_the_note') }}</button></p></form></details>@endcan
    <details class="disclosure no-print"><summary>{{ Text::of('challenge.edit.more') }}</summary>
        <form method="post" action="{{ route('challenges.copy', $challenge) }}" class="border-t border-rule py-5 no-print">
            @csrf
            <p class="actions"><button class="button">{{ Text::of('challenge.edit.copy_it') }}</button>
                @if ($record->groups->isNotEmpty())<button
                    class="button" name="with_groups" value="1">{{ Text::of('challenge.edit.copy_it_with_its_groups') }}</button>@endif
                <span class="small">{{ Text::of('challenge.edit.what_a_copy_has') }}</span></p>
        </form>
        <p class="border-t border-rule py-5 no-print"><a class="button" download
            href="{{ route('archive.download', $challenge) }}">{{ Text::of('archive.take') }}</a>
            <span class="small ml-2">{{ Text::of('archive.take_why') }}</span></p>
        <form method="post" action="{{ route('challenges.destroy', $challenge) }}" class="border-t border-rule py-5 no-print">
            @csrf @method('delete')
            <button class="button">{{ Text::of('challenge.edit.remove_this_challenge') }}</button>
            <span class="small ml-2">{{ Text::of('challenge.edit.with_its_groups_cars_and_runs') }}</span>
        </form>
    </details>
</x-layout>
