@props(['title', 'challenge' => null, 'record' => null, 'stage' => null, 'line' => null, 'heading' => null, 'live' => false, 'state' => null,
    'words' => ['entry', 'watch', 'queue', 'figure', 'floor']])
@php
    $actor = auth()->user();
    $device = $actor instanceof \App\Models\Device ? $actor : null;
    // What waits on a device may be told of on any page.
    $scriptWords = Arr::only(__('script'), ['queue', 'outbox', 'entry', ...$words]);
    $looksOn = $device === null && $actor !== null && $challenge?->exists && ! $challenge->isOwnedBy($actor) && ! $challenge->roleOf($actor)?->changes();
@endphp
<!DOCTYPE html>
<html lang="{{ app()->getLocale() }}">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>{{ Text::of('frame.layout.skivo', ['title' => $title]) }}</title>
    <link rel="icon" href="/icon.svg" type="image/svg+xml">
    <script type="application/json" id="words">{!! json_encode($scriptWords, JSON_HEX_TAG | JSON_HEX_AMP | JSON_UNESCAPED_UNICODE) !!}</script>
    @vite(['resources/css/app.css', 'resources/js/app.js'])
</head>
<body
    @if ($actor === null && $challenge === null) data-guest @endif
    @if ($device !== null) data-sender="{{ \App\Access\Sender::of($device) }}" @endif @if ($looksOn) data-looks-on @endif
    @if ($live && $challenge?->exists) data-live="{{ URL::signedRoute('live', ['live' => $challenge->id], absolute: false) }}"
    @if ($live === true) data-state="{{ $state ?? route('runs.state', $challenge, absolute: false) }}" @endif
    data-revision="{{ $record->revision ?? $challenge->revision() }}" @endif>
    <a class="skip" href="#main">{{ Text::of('frame.layout.skip_to_the_content') }}</a>
    <x-mark-shapes />
    <header class="page masthead">
        <a class="brand" href="{{ $device !== null ? route('join.home')
            : (auth()->check() ? route('challenges.index') : route('sign-in')) }}">{{ Text::of('frame.layout.skivo_2') }}</a>
        <div class="masthead-titles">
            <h1><bdi>{{ $heading ?? $challenge?->name ?? $title }}</bdi></h1>
            @if ($line !== null || $challenge?->exists)
                <p class="masthead-line"><bdi>{{ $line ?? ($challenge->question ?? \App\Language\StandingWords::rule($challenge)) }}</bdi></p>
            @endif
        </div>
        @if ($device !== null)
            <p class="masthead-tools small">{{ Label::of($device->role) }}</p>
        @elseif ($actor !== null)
            <div class="masthead-tools">
                @if ($challenge?->exists)
                    <form class="switch" method="post" action="{{ route('units.update', $challenge) }}">
                        @csrf @method('put')
                        @foreach (\Skivo\Core\Measurement\UnitSystem::cases() as $system)
                            <button name="units" value="{{ $system->value }}"
                                aria-pressed="{{ $challenge->units === $system ? 'true' : 'false' }}">{{ $system->name === 'Metric'
                                ? Text::of('frame.layout.cm_g') : Text::of('frame.layout.in_oz') }}</button>
                        @endforeach
                    </form>
                @endif
                <x-menu :challenge="$challenge" :actor="$actor" />
            </div>
        @endif
    </header>
    @if ($challenge?->exists && $record !== null && $device === null)
        <x-stage-line :challenge="$challenge" :record="$record" :stage="$stage" />
    @else
        <div class="page"><hr class="border-t-[1.5px] border-ink"></div>
    @endif
    <main id="main" class="page grow">
        @if ($looksOn)<p class="looks-on" role="note">{{ Text::of('sharing.banner', ['name' => $challenge->user->name]) }}</p>@endif
        @if (session('status'))
            <div class="flash" role="status">
                <span><bdi>{{ session('status') }}</bdi></span>
                @if (session('undo'))
                    <form method="post" action="{{ route('undo', $challenge) }}">@csrf<button class="button plain" name="act"
                        value="{{ session('undo') }}">{{ Text::of('frame.layout.undo') }}</button>
                    </form>
                @endif
                @if (session('putBack'))
                    <form method="post" action="{{ session('putBack') }}">@csrf<button class="button plain">{{ Text::of('frame.layout.restore') }}</button>
                    </form>
                @endif
            </div>
        @endif
        {{ $slot }}
    </main>
    {{ $foot ?? '' }}
    <p class="working" role="status" data-working hidden>{{ Text::of('frame.layout.working_it_out') }}</p>
    <dialog class="keys" aria-labelledby="keys-title">
        <h2 id="keys-title">{{ Text::of('frame.layout.keys') }}</h2>
        <dl>
            {{ $keys ?? '' }}
            <dt><kbd>{{ Text::of('frame.layout.tab') }}</kbd></dt><dd>{{ Text::of('frame.layout.next_field_button_or_point_of') }}</dd>
            <dt><kbd>{{ Text::of('frame.layout.esc') }}</kbd></dt><dd>{{ Text::of('frame.layout.leave_a_field_close_this') }}</dd>
            <dt><kbd>?</kbd></dt><dd>{{ Text::of('frame.layout.show_the_keys_outside_a_field') }}</dd>
        </dl>
        <form method="dialog"><button class="button">{{ Text::of('frame.layout.close') }}</button></form>
    </dialog>
</body>
</html>
