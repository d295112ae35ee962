@php
    use Skivo\Core\Car\Attribute\CarAttribute;
    use Skivo\Core\Car\Part\Catalogue;
    use Skivo\Core\Car\Attribute\PartKind;
    use Skivo\Core\Car\Part\PartTrait;
    use Skivo\Core\Car\Attribute\ChassisForm;
    $units = $challenge->units;
    $shown = fn ($value, $scale) => $value === null ? '–' : ($scale === null ? \App\Language\Figure::of($value) : $units->show($value, $scale, 1));
    $kind = PartKind::tryFrom(old('kind', request()->string('kind')->toString())) ?? PartKind::Wheel;
    $like = $catalogue->named($kind, request()->string('like')->toString());
    $begin = fn (CarAttribute $attribute) => $like?->find($attribute) === null ? null : ($attribute->scale() === null
        ? \App\Language\Figure::of($like->find($attribute))
        : str_replace("\u{00A0}", ' ', $units->show($like->find($attribute), $attribute->scale(), 1)));
    $hint = fn (CarAttribute $attribute) => ($attribute->scale() === null ? Text::of('dry_run.parts.a_number')
        : Text::of('dry_run.parts.in_unless_you_type_a_unit', ['units' => \App\Language\Phrase::unit($attribute->bareUnit($units))]))
        . (! $attribute->facts()->isLeftToPart ? '' : Text::of('dry_run.parts.left_empty', ['which' => match (true) {
            $attribute === CarAttribute::WheelHub => Text::of('dry_run.parts.as_at_the_rim'),
            Catalogue::standard()->usual($kind)->find($attribute) === null => Text::of('run.no_value'),
            default => Text::of('dry_run.parts.as_usual', ['attribute' => $shown(Catalogue::standard()->usual($kind)->find($attribute), $attribute->scale())]),
        }]));
@endphp
<x-layout
    :title="Text::of('dry_run.parts.parts', ['challenge' => $challenge->name])" :challenge="$challenge" :record="$record"
    stage="build" :line="$challenge->question">
    <div class="lead-in">
        <div><h2>{{ Text::of('dry_run.parts.the_parts_list') }}</h2><p class="small prose mt-1">
                {{ Text::of('dry_run.parts.what_the_run_model_takes_where') }}</p></div>
        <a class="button" href="{{ route('dry-run.show', $challenge) }}">{{ Text::of('dry_run.parts.to_the_dry_run_bench') }}</a>
    </div>
    <x-errors />
    @if ($names !== [])
        <section class="form-part" id="names">
            <h2>{{ Text::of('dry_run.names.title') }}</h2>
            <div><p class="small prose mb-3">{{ Text::of('dry_run.names.what') }}</p>
                @foreach ($names as $number => $row)
                    <form method="post" action="{{ route('parts.merge', $challenge) }}" class="flex flex-wrap items-end gap-3 mb-3">
                        @csrf @method('put')
                        <input type="hidden" name="attribute" value="{{ $row['attribute']->value }}">
                        <input type="hidden" name="from" value="{{ $row['name'] }}">
                        <div class="field"><label for="f-to-{{ $number }}">{{ Label::title($row['attribute']) }}: <strong><bdi>{{ $row['name'] }}</bdi></strong>
                            <span class="small">{{ Text::plural('dry_run.names.on_cars', $row['cars']) }}</span>
                            {{ Text::of('dry_run.names.is_the_same_as') }}</label>
                        <select class="input" id="f-to-{{ $number }}" name="to"><option value="">–</option>
                            @foreach ($row['others'] as $other)<option @selected($other === $row['like'])>{{ $other }}</option>@endforeach</select></div>
                        <button class="button">{{ Text::of('dry_run.names.merge') }}</button>
                    </form>
                @endforeach</div>
        </section>
    @endif
    @foreach (PartKind::cases() as $each)
        <section class="form-part">
            <h2>{{ Label::of($each) }}</h2>
            <div class="scroll-x" tabindex="0" role="region" aria-label="{{ Label::of($each) }}">
                <table class="figures-table">
                    <thead><tr><th scope="col"><span class="sr-only">{{ Text::of('dry_run.parts.picture') }}</span></th>
                            <th scope="col">{{ Text::of('dry_run.parts.name') }}</th>
                            @foreach (CarAttribute::ofPart($each) as $attribute)<th scope="col" class="num">
                                {{ Label::title($attribute) }}</th>@endforeach<th scope="col" class="source">
                                {{ Text::of('dry_run.parts.where_it_comes_from') }}</th><th scope="col"><span
                                    class="sr-only">{{ Text::of('dry_run.parts.remove') }}</span>
                            </th></tr></thead>
                    <tbody>
                        @foreach ($catalogue->of($each) as $part)
                            @php($mine = $own->first(fn ($own) => $own->kind === $each && $own->name === $part->name))
                            <tr>
                                <td class="part-cell">@if ($each !== PartKind::Surface)<x-part-picture
                                    :part="$part" :among="$catalogue->of($each)" />@endif</td>
                                <th scope="row"><bdi>{{ $part->name }}</bdi>@if ($each === PartKind::Chassis)
                                    <span class="small block">{{ Label::of($part->form) }}</span>@endif</th>
                                @foreach (CarAttribute::ofPart($each) as $attribute)<td class="num">
                                    {{ $shown($part->find($attribute), $attribute->scale()) }}</td>@endforeach
                                <td class="small source">{{ Text::of("dry_run.origin.{$part->origin}") }}</td>
                                <td>@if ($mine)<form method="post" action="{{ route('parts.destroy', [$challenge, $mine]) }}">
                                        @csrf @method('delete')<button class="button plain"
                                            aria-label="{{ Text::of('dry_run.parts.remove_2',
                                            ['part' => $part->name]) }}">{{ Text::of('dry_run.parts.remove') }}</button>
                                    </form>@endif
                                    <a class="button plain"
                                        href="{{ route('parts.index', [$challenge, 'kind' => $each->value, 'like' => $part->name]) }}#add"
                                        aria-label="{{ Text::of('dry_run.parts.one_like', ['part' => $part->name]) }}">
                                        {{ Text::of('dry_run.parts.like') }}</a></td>
                            </tr>
                        @endforeach
                    </tbody>
                </table>
            </div>
        </section>
    @endforeach
    <section class="form-part">
        <h2>{{ Text::of('dry_run.parts.what_fits_what') }}</h2>
        <ul class="fits">@foreach ($fits as [$inner, $outer, $fit])
            <li><bdi>{{ $inner }}</bdi> → <bdi>{{ $outer }}</bdi>: <strong>{{ Label::of($fit) }}</strong></li>@endforeach</ul>
    </section>
    @if ($shared->isNotEmpty())
        <section class="form-part" id="shared">
            <h2>{{ Text::of('dry_run.parts.of_your_schools') }}</h2>
            <ul class="people">@foreach ($shared as $part)<li><bdi>{{ $part->name }}</bdi> <span class="small">{{ Label::of($part->kind) }}</span>
                <form method="post" action="{{ route('parts.take', [$challenge, $part->id]) }}">@csrf<button class="button"
                    aria-label="{{ Text::of('dry_run.parts.take_it_2', ['part' => $part->name]) }}">{{ Text::of('dry_run.parts.take_it') }}</button>
                </form></li>@endforeach</ul>
        </section>
    @endif
    <section class="form-part" id="add">
        <h2>{{ Text::of('dry_run.parts.add_your_own') }}</h2>
        <div>
            <p class="actions mb-4">@foreach (PartKind::cases() as $each)<a
                class="button" href="{{ route('parts.index', [$challenge, 'kind' => $each->value]) }}#add"
                @if ($each === $kind) aria-current="true" @endif>{{ Label::of($each) }}</a>@endforeach
            </p>
            <form method="post" action="{{ route('parts.store', $challenge) }}">
                @csrf<x-sent-with :units="$challenge->units" />
                <input type="hidden" name="kind" value="{{ $kind->value }}">
                <div class="form-grid">
                    <x-field name="name" :label="Text::of('dry_run.parts.name_2', ['kind' => Label::inside($kind)])" maxlength="80" />
                    @foreach (CarAttribute::ofPart($kind) as $attribute)
                        <x-field
                            :name="$attribute->value" :label="Label::title($attribute)" inputmode="text"
                            :optional="$attribute->facts()->isLeftToPart" :hint="$hint($attribute)" :value="$begin($attribute)" />
                    @endforeach
                    @if ($kind === PartKind::Chassis)
                        <fieldset class="wide">
                            <legend class="field-label mb-1">{{ Label::title(CarAttribute::ChassisForm) }}</legend>
                            <div class="quick-ticks">@foreach (ChassisForm::cases() as $form)<label class="choice">
                                <input type="radio" name="form" value="{{ $form->value }}"
                                    @checked(old('form', $like?->form->value ?? 'board') === $form->value)>
                                <span><x-choice-picture :option="$form" />{{ Label::of($form) }}</span></label>@endforeach</div>
                            @error('form')<p class="error">{{ $message }}</p>@enderror
                        </fieldset>
                    @endif
                    @if (PartTrait::of($kind) !== [])
                        <fieldset class="wide">
                            <legend class="field-label mb-1">{{ Text::of('dry_run.parts.it_is') }}</legend>
                            @foreach (PartTrait::of($kind) as $trait)<label class="tick">
                                <input
                                    type="checkbox" name="traits[]" value="{{ $trait->value }}"
                                    @checked(in_array($trait->value, (array) old('traits', array_column($like->traits ?? [], 'value')), true))>
                                <span>{{ Label::of($trait) }}</span></label>@endforeach
                        </fieldset>
                    @endif
                </div>
                <p class="mt-4"><button class="button do">{{ Text::of('dry_run.parts.add_it') }}</button></p>
            </form>
        </div>
    </section>
</x-layout>
