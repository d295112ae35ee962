{{-- A group's drawing. --}}
@props(['sketch'])
@use('Skivo\Core\Notebook\Sketch')
<svg class="sketch" viewBox="0 0 {{ Sketch::WIDTH }} {{ Sketch::HEIGHT }}" role="img" aria-label="{{ Text::of('path.page.draw_here') }}">
    @foreach ($sketch->strokes as $stroke)
    <polyline class="pen-line pen-{{ $stroke['pen'] }}"
        points="{{ implode(' ', array_map(fn ($point) => implode(',', $point), count($stroke['points']) === 1 ? [...$stroke['points'],
            ...$stroke['points']] : $stroke['points'])) }}" />
    @endforeach
</svg>
