{{-- One effect on its graph, with its numbers as SVG and as CSV. --}}
@props(['challenge', 'figure', 'counting', 'tools' => true])
<div class="figure" data-relation>
    <script type="application/json">@json($figure->figure(Label::title($figure->effect->factor)),
        JSON_HEX_TAG | JSON_HEX_AMP | JSON_HEX_APOS | JSON_HEX_QUOT)</script>
    <div data-stage></div>
</div>
<p class="small mt-2">{{ Text::of('findings.show.one_mark_a_car') }}
    @if ($figure->effect->from === null) {{ Text::of('findings.show.the_shaded_band') }} @endif
    @if ($figure->effect->rebuilt() !== []) {{ Text::of('findings.show.dotted_is_rebuilt') }} @endif
    @if ($figure->takesSizesOfParts()) {{ Text::of('findings.show.pale_is_of_its_part') }} @endif
    @if ($figure->effect->left !== []) {{ Text::of('findings.show.pale_is_left_out') }} @endif
</p>
@if ($tools)
    <p class="actions no-print"><button type="button" class="button plain"
        data-save-svg="answer">{{ Text::of('findings.show.save_as_svg') }}</button><a class="button plain"
        download href="{{ route('findings.download',
        [$challenge, 'answer', 'tries' => $counting->value]) }}">{{ Text::of('findings.show.the_numbers_as_csv') }}</a>
    </p>
@endif
