@props(['title', 'challenge' => null, 'record' => null, 'stage' => null, 'line' => null, 'heading' => null, 'live' => false])
@php
    $actor = auth()->user();
    $device = $actor instanceof \App\Models\Device ? $actor : null;
@endphp
<!DOCTYPE html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>{{ $title }} · Skivo</title>
    <link rel="icon" href="/icon.svg" type="image/svg+xml">
    @vite(['resources/css/app.css', 'resources/js/app.js'])
</head>
<body @if ($actor === null && $challenge === null) data-guest @endif @if ($live && $challenge?->exists) data-live="{{ URL::signedRoute('live', ['live' => $challenge->id], absolute: false) }}" @if ($live === true) data-state="{{ route('runs.state', $challenge, absolute: false) }}" @endif data-revision="{{ $record->revision ?? $challenge->revision() }}" @endif>
    <a class="skip" href="#main">Skip to the content</a>
    <x-mark-shapes />
    <header class="page masthead">
        <a class="brand" href="{{ $device !== null ? route('join.home') : (auth()->check() ? route('challenges.index') : route('sign-in')) }}">Skivo</a>
        <div class="masthead-titles">
            <h1><bdi>{{ $heading ?? $challenge?->name ?? $title }}</bdi></h1>
            @if ($line !== null || $challenge?->exists)
                <p class="masthead-line"><bdi>{{ $line ?? ($challenge->question ?? \App\Wording\StandingWords::rule($challenge)) }}</bdi></p>
            @endif
        </div>
        @if ($device !== null)
            <p class="masthead-tools small">{{ $device->role->label() }}</p>
        @elseif ($actor !== null)
            <div class="masthead-tools">
                @if ($challenge?->exists)
                    <form class="switch" method="post" action="{{ route('units.update', $challenge) }}">
                        @csrf @method('put')
                        @foreach (\Skivo\Core\Measurement\UnitSystem::cases() as $system)
                            <button name="units" value="{{ $system->value }}" aria-pressed="{{ $challenge->units === $system ? 'true' : 'false' }}">{{ $system->name === 'Metric' ? 'cm · g' : 'in · oz' }}</button>
                        @endforeach
                    </form>
                @endif
                <details class="menu">
                    <summary>Menu</summary>
                    <div class="menu-list">
                        <a href="{{ route('challenges.index') }}">All challenges</a>
                        @if ($challenge?->exists)
                            <a href="{{ route('runs.index', $challenge) }}">Every run on record</a>
                            <a href="{{ route('sheet.show', $challenge) }}">Class sheet (CSV)</a>
                            <a href="{{ route('devices.index', $challenge) }}">Tablets and the board</a>
                            <a href="{{ route('what-if.show', $challenge) }}">What if…</a>
                            <a href="{{ route('parts.index', $challenge) }}">Parts list</a>
                        @endif
                        <button type="button" data-show-keys>Keys</button>
                        <a href="{{ route('account.edit') }}">Account</a>
                        <form method="post" action="{{ route('sign-out') }}">@csrf<button>Sign out</button></form>
                    </div>
                </details>
            </div>
        @endif
    </header>
    @if ($challenge?->exists && $record !== null && $device === null)
        <x-stage-line :challenge="$challenge" :record="$record" :stage="$stage" />
    @else
        <div class="page"><hr class="border-t-[1.5px] border-ink"></div>
    @endif
    <main id="main" class="page grow">
        @if (session('status'))
            <div class="flash" role="status">
                <span><bdi>{{ session('status') }}</bdi></span>
                @if (session('undo'))
                    <form method="post" action="{{ route('undo', $challenge) }}">@csrf<button class="button plain" name="act" value="{{ session('undo') }}">Undo</button></form>
                @endif
                @if (session('putBack'))
                    <form method="post" action="{{ session('putBack') }}">@csrf<button class="button plain">Put it back</button></form>
                @endif
            </div>
        @endif
        {{ $slot }}
    </main>
    {{ $foot ?? '' }}
    <dialog class="keys" aria-labelledby="keys-title">
        <h2 id="keys-title">Keys</h2>
        <dl>
            {{ $keys ?? '' }}
            <dt><kbd>Tab</kbd></dt><dd>next field, button or point of a figure</dd>
            <dt><kbd>Esc</kbd></dt><dd>leave a field, close this</dd>
            <dt><kbd>?</kbd></dt><dd>show the keys (outside a field)</dd>
        </dl>
        <form method="dialog"><button class="button">Close</button></form>
    </dialog>
</body>
</html>
