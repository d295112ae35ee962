@php
    use Skivo\Core\Measurement\Scale;
    $units = $challenge->units;
    $say = new Words($units);
    $mass = $reading->mass;
    $difference = $mass->differenceKg();
    $drawing = new \App\Pages\Build\CarDrawing($reading->layout, $reading->faults);
    $known = $reading->known();
@endphp
<div class="car-views">
    <x-car-drawing :layout="$reading->layout" :faults="$reading->faults" :units="$units" :drawing="$drawing" :known="$known" leads />
    <x-car-end :drawing="$drawing" :known="$known" leads />
</div>
<div class="car-says">
@if (($tape ?? null)?->band !== null)<p class="small">{{ Text::of('path.page.somewhere_here') }}</p><x-guess-tape :drawing="$tape" />@endif
<p class="known-key small">@foreach (\Skivo\Core\Car\KnownFrom::cases() as $from)<span
    class="is-{{ $from->value }}">{{ Label::of($from) }}</span>@endforeach</p>
@if ($reading->faults !== [])
    <ol class="faults">@foreach ($reading->faults as $fault)<li @class(['stops' => $fault->stops])>{{ $say->say($fault->remark) }}</li>@endforeach</ol>
@else
    <p class="small mt-2">
        {{ Text::of('build.drawing.what_is_not_recorded_is_drawn', [
            'verdict' => $reading->breaches === [] ? Text::of('build.drawing.nothing_that_is_recorded_speaks_against') :
            Text::of('build.drawing.it_can_be_built_as_recorded'),
        ]) }}
    </p>
@endif
@php($beyond = $reading->beyondModel())
@if ($beyond !== null)<p class="small mt-2">{{ \App\Pages\Findings\ModelWords::beyond($beyond, $units) }}</p>@endif
@if ($mass->sumKg() !== null)
    <p class="mt-2">
        {!! Text::html('build.drawing.mass_by_its_parts',
            ['sum_kg' => $units->show($mass->sumKg(), Scale::Weight)]) !!}@if (! $mass->isComplete())<span class="small">
        {{ Text::of('build.drawing.so_far_without', [
            'missing' => \App\Language\Lists::and(array_map(fn ($choice) => Label::inside($choice), $mass->missing), 6),
        ]) }}</span>@endif{{ $difference === null ? '.'
            : ($difference >= 0 ? Text::of('build.drawing.and_more_on_the_scale_glue',
            ['difference' => $units->show($difference, Scale::Weight)])
            : Text::of('build.drawing.which_is_more_than_on_the', ['difference' => $units->show(-$difference, Scale::Weight)])) }}
    </p>
@endif
@if ($reading->breaches !== [])
    <ul class="breaches">@foreach ($reading->breaches as $breach)<li>{{ $say->say($breach->remark) }}</li>@endforeach</ul>
@endif
@if (($price ?? null) !== null)<p class="mt-2" data-price>{{ $price }}</p>@endif
</div>
