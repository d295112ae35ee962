<!DOCTYPE html>
<html lang="{{ app()->getLocale() }}" class="board-page">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="robots" content="noindex">
    <title>{{ Text::of('board.show.skivo', ['challenge' => $challenge->name]) }}</title>
    <link rel="icon" href="/icon.svg" type="image/svg+xml">
    <script type="application/json"
        id="words">@json(Arr::only(__('script'), ['floor', 'figure']), JSON_HEX_TAG | JSON_HEX_AMP | JSON_UNESCAPED_UNICODE)</script>
    @vite(['resources/css/app.css', 'resources/js/app.js'])
</head>
<body
    class="board" data-live="{{ URL::signedRoute('live', ['live' => $challenge->id], absolute: false) }}"
    data-state="{{ route('board.state', $token, absolute: false) }}" data-revision="{{ $record->revision }}" data-fresh>
    <x-mark-shapes />
    <main id="main" data-piece="board">{!! $board !!}</main>
</body>
</html>
