@use('App\Language\StandingWords')
@use('Skivo\Core\Measurement\Scale')
<x-layout :title="Text::of('challenge.index.challenges')" :line="Text::of('challenge.index.set_a_challenge_record_the_cars')">
    <div class="lead-in">
        <p class="small">
            {{ Text::of('challenge.index.newest_first', [
                'challenges' => $list->challenges->count() === 1 ? Text::of('challenge.index.1_challenge') :
                Text::of('challenge.index.challenges_2', ['count' => $list->challenges->count()]),
            ]) }}
        </p>
        <p class="actions"><a class="button" href="{{ route('library.show') }}">{{ Text::of('library.show.title') }}</a>
        <a class="button do" href="{{ route('challenges.create') }}">{{ Text::of('challenge.index.set_a_challenge') }}</a></p>
    </div>
    @if ($list->challenges->isEmpty())
        <div class="py-10 prose border-t-[1.5px] border-ink">
            <h2>{{ Text::of('challenge.index.no_challenge_yet') }}</h2>
            <p class="mt-2">{{ Text::of('challenge.index.a_challenge_is_a_goal_a') }}</p>
            <p class="mt-2">{!! Text::html('challenge.index.is_the_class_on_a_sheet', ['route' => route('challenges.create', ['then' => 'sheet'])]) !!}</p>
        </div>
    @else
        <div class="challenge-list">
            @foreach ($list->challenges as $challenge)
                @php($groups = $list->groups($challenge))
                @php($strip = new \App\Pages\Plan\LaneStrip($challenge->units, $challenge->lane_length->quantity->si(), array_column($groups, 'best')))
                <article class="challenge-row">
                    <div class="min-w-0">
                        <h2><a href="{{ route('runs.show', $challenge) }}"><bdi>{{ $challenge->name }}</bdi></a></h2>
                        @if ($challenge->question)<p class="mt-1 [overflow-wrap:anywhere]"><bdi>{{ $challenge->question }}</bdi></p>@endif
                        @unless ($challenge->isOwnedBy(auth()->user()))<p class="small mt-1">{{ Text::of('sharing.schools.of',
                            ['name' => $challenge->user->name]) }}</p>@endunless
                        <p class="small mt-1">{{ StandingWords::rule($challenge) }}</p>
                        <p class="small">
                            {{ Text::of('challenge.index.that_count', [
                                'count' => count($groups),
                                'groups' => Text::plural('challenge.index.group_groups', count($groups)),
                                'runs' => $list->runs($challenge),
                                'runs_that' => Text::plural('challenge.index.run_runs', $list->runs($challenge)),
                            ]) }}
                        </p>
                    </div>
                    <div
                        class="mini-floor" role="img"
                        aria-label="{{ Text::of('challenge.index.each_groups_best_run_on_the',
                            ['si' => $challenge->units->show($challenge->lane_length->quantity->si(), Scale::Lane)]) }}">
                        <svg aria-hidden="true">
                            @foreach ($strip->lines() as [$x, $units, $isWritten])
                                <line x1="{{ $x }}%" x2="{{ $x }}%" y1="0" y2="44" class="lane-tick" />
                                <line x1="{{ $x }}%" x2="{{ $x }}%" y1="44" y2="66" class="tape-major" />
                                @if ($isWritten)
                                    <text x="{{ $x }}%" dx="-5" y="60" text-anchor="end" class="tape-whole">{{ $units }}
                                    {{ $challenge->units->symbol(Scale::Lane) }}</text>
                                @endif
                            @endforeach
                        </svg>
                        @foreach ($groups as $group)
                            @if ($group['best'] !== null)
                                <svg aria-hidden="true">
                                    <use
                                        href="#mark-{{ $group['mark'] }}" class="mark-{{ explode('-', $group['mark'])[0] }}"
                                        x="{{ $strip->x($group['best']) }}%" y="12" width="20" height="20"
                                        transform="translate(-10 0)" />
                                </svg>
                            @endif
                        @endforeach
                    </div>
                </article>
            @endforeach
        </div>
    @endif
    <details class="disclosure py-4" @error('archive') open @enderror>
        <summary>{{ Text::of('archive.bring') }}</summary>
        <form method="post" action="{{ route('archive.store') }}" enctype="multipart/form-data" class="narrow-form py-2">@csrf
            <x-field name="archive" type="file" :label="Text::of('archive.bring_file')" accept=".zip,application/zip" />
            <p class="actions"><button class="button">{{ Text::of('archive.bring_do') }}</button></p></form>
    </details>
    @if ($list->removed->isNotEmpty())
        <details class="disclosure py-4">
            <summary>{{ Text::of('challenge.index.removed_challenges', ['count' => $list->removed->count()]) }}</summary>
            <p class="small py-2">{{ Text::of('challenge.index.a_removed_challenge_can_be_put', ['days' => \App\Actions\PurgeRemoved::DAYS]) }}</p>
            @foreach ($list->removed as $challenge)
                <div class="flex flex-wrap gap-3 items-center">
                    <bdi>{{ $challenge->name }}</bdi>
                    <form method="post" action="{{ route('challenges.restore', $challenge) }}">@csrf<button class="button plain"
                        aria-label="{{ Text::of('challenge.index.put_back',
                        ['challenge' => $challenge->name]) }}">{{ Text::of('challenge.index.restore') }}</button>
                    </form>
                    <details class="disclosure"><summary>{{ Text::of('challenge.index.delete_for_good') }}</summary>
                        <form method="post" action="{{ route('challenges.delete', $challenge) }}">@csrf
                        @method('delete')<button class="button"
                            aria-label="{{ Text::of('challenge.index.delete_for_good_2',
                            ['challenge' => $challenge->name]) }}">{{ Text::of('challenge.index.yes_delete_it_with_everything_in') }}</button>
                        <span class="small">{{ Text::of('challenge.index.nothing_brings_it_back_but_a') }}</span>
                        </form>
                    </details>
                </div>
            @endforeach
        </details>
    @endif
</x-layout>
