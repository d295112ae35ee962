{{-- Whatever is not a stage of the lesson, in groups. What was never used stands under More. --}}
@props(['challenge' => null, 'actor'])
@php($uses = \App\Record\InUse::of($actor, $challenge?->exists ? $challenge : null))
<details class="menu">
    <summary>{{ Text::of('frame.layout.menu') }}</summary>
    <div class="menu-list">
        <a href="{{ route('challenges.index') }}">{{ Text::of('frame.layout.all_challenges') }}</a>
        @if ($challenge?->exists)
            <section aria-labelledby="menu-lane"><h2 id="menu-lane">{{ Text::of('frame.menu.at_the_lane') }}</h2>
                <a href="{{ route('room.show', $challenge) }}">{{ Text::of('frame.layout.the_room') }}</a>
                <a href="{{ route('devices.index', $challenge) }}">{{ Text::of('frame.layout.tablets_and_the_board') }}</a>
                <a href="{{ route('races.index', $challenge) }}">{{ Text::of('race.index.races') }}</a>
                @can('keepOrder', $challenge)<a href="{{ route('film.open', $challenge) }}">{{ Text::of('frame.menu.film') }}</a>@endcan</section>
            <section aria-labelledby="menu-data"><h2 id="menu-data">{{ Text::of('frame.menu.data') }}</h2>
                <a href="{{ route('runs.index', $challenge) }}">{{ Text::of('frame.layout.every_run_on_record') }}</a>
                <a href="{{ route('sheet.show', $challenge) }}">{{ Text::of('frame.layout.run_table') }}</a>
                <a href="{{ route('archive.download', $challenge) }}">{{ Text::of('frame.menu.archive') }}</a></section>
            <section aria-labelledby="menu-people"><h2 id="menu-people">{{ Text::of('frame.menu.people') }}</h2>
                <a href="{{ route('sharing.show', $challenge) }}">{{ Text::of('frame.layout.educators') }}</a>
                @if ($uses->home)<a href="{{ route('home.index', $challenge) }}">{{ Text::of('home.class.title') }}</a>@endif
                @if ($uses->schools)<a href="{{ route('schools.index') }}">{{ Text::of('sharing.schools.title') }}</a>@endif</section>
        @endif
        <section aria-labelledby="menu-more"><h2 id="menu-more">{{ Text::of('frame.menu.more') }}</h2>
            @if ($challenge?->exists)
                <a href="{{ route('dry-run.show', $challenge) }}">{{ Text::of('frame.layout.dry_run') }}</a>
                <a href="{{ route('parts.index', $challenge) }}">{{ Text::of('frame.layout.parts_list') }}</a>
            @endif
            <a href="{{ route('library.show') }}">{{ Text::of('library.show.title') }}</a>
            @if ($challenge?->exists && ! $uses->home)<a href="{{ route('home.index', $challenge) }}">{{ Text::of('home.class.title') }}</a>@endif
            @if (! $challenge?->exists || ! $uses->schools)<a href="{{ route('schools.index') }}">{{ Text::of('sharing.schools.title') }}</a>@endif
            <a href="{{ route('account.edit') }}">{{ Text::of('frame.layout.account') }}</a>
            <a href="{{ route('privacy') }}">{{ Text::of('privacy.link') }}</a>
            <button type="button" data-show-keys>{{ Text::of('frame.layout.keys') }}</button>
            <form method="post" action="{{ route('sign-out') }}">@csrf<button>{{ Text::of('frame.layout.sign_out') }}</button></form></section>
    </div>
</details>
