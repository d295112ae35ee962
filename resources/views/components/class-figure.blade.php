{{-- The class on one figure: drawn by the page, with its numbers in a table, as SVG and as CSV. --}}
@props(['challenge', 'figure', 'words', 'counting', 'tools' => true])
@php
    use Skivo\Core\Measurement\Scale;
    $units = $challenge->units;
    $rows = $figure->rows();
@endphp
<div class="figure" data-relation>
    <script type="application/json">@json($figure->figure(), JSON_HEX_TAG | JSON_HEX_AMP | JSON_HEX_APOS | JSON_HEX_QUOT)</script>
    <div data-stage></div>
</div>
<p class="small mt-2">{{ Text::of('findings.class_figure.each_mark_is_one_car_the') }}@if (count($rows) > 2)
<span class="key-line fit">{{ Text::of('findings.class_figure.the_classs_own_straight_line_its') }}</span>
<span class="key-line model">{{ Text::of('findings.class_figure.the_model_for_a_typical_car') }}</span>@endif
</p>
@if ($tools)
    <p class="actions no-print"><button type="button" class="button plain"
        data-save-svg="class-figure">{{ Text::of('findings.class_figure.save_as_svg') }}</button><a class="button plain"
        href="{{ route('findings.download',
        [$challenge, 'class', 'tries' => $counting->value]) }}">{{ Text::of('findings.class_figure.the_numbers_as_csv') }}</a>
    </p>
    <details class="disclosure">
        <summary>{{ Text::of('findings.class_figure.the_numbers_behind_the_figure') }}</summary>
        <div class="scroll-x" tabindex="0" role="region" aria-label="{{ Text::of('findings.class_figure.the_numbers_behind_the_figure') }}">
            <table class="figures-table">
                <thead><tr><th scope="col">{{ Text::of('findings.class_figure.car') }}</th>
                        <th scope="col" class="num">{{ Text::of('findings.class_figure.thrust_resistance') }}</th>
                        <th scope="col" class="num">95 %</th><th scope="col">
                            {{ Text::of('findings.class_figure.known_from') }}</th><th scope="col" class="num">
                            {{ Text::of('findings.class_figure.mean', ['distance' => $units->symbol(Scale::Distance)]) }}</th>
                        <th scope="col" class="num">95 %</th><th scope="col" class="num">
                            {{ Text::of('findings.class_figure.tries') }}</th></tr></thead>
                <tbody>
                    @foreach ($rows as $row)
                        <tr>
                            <th scope="row"><span class="with-mark">{{ Glyph::of($row['group']->mark) }}<bdi
                                class="max-w-60 truncate">{{ $words->name($row['car']->id) }}</bdi></span>
                            </th>
                            <td class="num">{{ number_format($row['ratio'], 2) }}</td><td class="num">
                                {{ number_format($row['ratioInterval']->low, 2) }} – {{ number_format($row['ratioInterval']->high, 2) }}
                            </td>
                            <td>
                                {{ ['marks' => Text::of('findings.class_figure.two_marks_on_the_floor'),
                                    'bench' => Text::of('findings.class_figure.measured_friction'),
                                    'parts' => Text::of('findings.class_figure.its_parts_and_the_class')][$row['known']] }}
                            </td>
                            <td class="num">{{ $units->figure($row['distance'], Scale::Distance) }}</td>
                            <td class="num">
                                {{ $row['distanceInterval'] === null ? Text::of('findings.class_figure.one_try')
                                    : $units->figure(max(0, $row['distanceInterval']->low), Scale::Distance) . ' – '
                                    . $units->figure($row['distanceInterval']->high, Scale::Distance) }}
                            </td>
                            <td class="num">{{ $row['runs'] }}</td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
        </div>
    </details>
@endif
