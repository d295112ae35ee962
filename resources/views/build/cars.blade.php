@php
    use App\Actions\RecordCar;
    use App\Language\Phrase;
    use App\Pages\Build\AllCars;
    use Skivo\Core\Car\Car;
    use Skivo\Core\Car\Attribute\CarAttribute;
    use Skivo\Core\Physics\SizeMeasure;
    $units = $challenge->units;
    $catalogue = $challenge->catalogue();
    $columns = implode(',', array_map(fn ($column) => $column->value, $all->columns));
@endphp
<x-layout
    :title="Text::of('build.cars.all_cars', ['challenge' => $challenge->name])" :challenge="$challenge" :record="$all->record"
    stage="build" :line="$challenge->question">
    <div class="lead-in">
        <div>
            <h2>{{ Text::of('build.cars.all_cars_at_once') }}</h2>
            <p class="small mt-1">{{ Text::of('build.cars.leave_empty_what_nobody_knows') }}</p>
        </div>
        <p class="actions no-print">
            <a class="button plain" href="{{ route('groups.index', $challenge) }}">{{ Text::of('build.cars.groups_one_by_one') }}</a>
        </p>
    </div>
    <x-errors />
    @if ($all->record->groups->isEmpty())
        <p class="prose py-4">{{ Text::of('build.cars.no_groups_yet') }} <a
            href="{{ route('groups.index', $challenge) }}">{{ Text::of('build.cars.add_the_groups') }}</a></p>
    @else
    <form method="post" action="{{ route('cars.all.update', $challenge) }}" data-grid>
        @csrf @method('put')<x-sent-with :units="$units" />
        <input type="hidden" name="columns" value="{{ $columns }}">
        @if (session('changed'))
            <fieldset class="caution" id="f-save_as">
                <legend class="field-label">{{ Text::of('build.cars.changed_or_corrected') }}</legend>
                <ul class="mt-1 mb-2">@foreach (session('changed') as $each)<li>{{ $each }}</li>@endforeach</ul>
                <div class="choices">
                    <x-choice name="save_as" value="version" :hint="Text::of('build.cars.their_tries_start_again')">
                        {{ Text::of('build.cars.were_changed') }}</x-choice>
                    <x-choice name="save_as" value="correction" :hint="Text::of('build.cars.the_runs_stay')">
                        {{ Text::of('build.cars.only_the_notes') }}</x-choice>
                </div>
            </fieldset>
        @endif
        <div class="scroll-x" tabindex="0" role="region" aria-label="{{ Text::of('build.cars.all_cars_at_once') }}">
            <table class="grid-table">
                <thead><tr><th scope="col">{{ Text::of('build.cars.group') }}</th>
                    @foreach ($all->columns as $column)<th scope="col">{{ Label::title($column) }}@if ($column->isQuantity())
                        <span class="small block">{{ Phrase::unit($column->bareUnit($units)) }}</span>@endif</th>@endforeach
                    <th scope="col"><span class="sr-only">{{ Text::of('build.cars.drawing') }}</span></th></tr></thead>
                <tbody>
                    @foreach ($all->record->groups as $row => $group)
                        @php($car = $group->currentCar())
                        <tr data-draw="{{ route('cars.all.draw', [$challenge, $group]) }}">
                            <th scope="row"><span class="with-mark">{{ Glyph::of($group->mark) }}<input
                                class="input" name="name_{{ $group->id }}" data-cell="{{ $row }},0" maxlength="80" autocomplete="off"
                                value="{{ old("name_{$group->id}", $group->name) }}"
                                aria-label="{{ Text::of('build.cars.name_of_group', ['row' => $row + 1]) }}"
                                @error("name_{$group->id}") aria-invalid="true" aria-describedby="e-name_{{ $group->id }}" @enderror></span>
                                <input type="hidden" name="edition_{{ $group->id }}" value="{{ old("edition_{$group->id}", RecordCar::edition($car)) }}">
                                @error("name_{$group->id}")<p class="error" id="e-name_{{ $group->id }}">{{ $message }}</p>@enderror</th>
                            @foreach ($all->columns as $index => $column)
                                @php($name = "{$column->value}_{$group->id}")
                                <td><input
                                    class="input" name="{{ $name }}" data-cell="{{ $row }},{{ $index + 1 }}" data-attribute="{{ $column->value }}"
                                    value="{{ old($name, AllCars::typed($car->choices ?? new Car(), $column)) }}" autocomplete="off"
                                    placeholder="{{ AllCars::typed($all->kit($group), $column) }}"
                                    @if ($catalogue->namesOf($column) !== []) list="names-{{ $column->value }}" @endif
                                    aria-label="{{ Text::of('build.cars.cell', ['column' => Label::title($column), 'group' => $group->name]) }}"
                                    @error($name) aria-invalid="true" aria-describedby="e-{{ $name }}" @enderror>
                                    @if ($column === CarAttribute::BalloonSize && $car?->choices->balloonMeasuredAs === SizeMeasure::Circumference)<span
                                        class="small">{{ Text::of('build.cars.around') }}</span>@endif
                                    @error($name)<p class="error" id="e-{{ $name }}">{{ $message }}</p>@enderror</td>
                            @endforeach
                            <td class="grid-drawing" data-row-drawing>@include('build.row-drawing', ['reading' => $all->reading($group)])</td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
        </div>
        @foreach ($all->columns as $column)@if ($catalogue->namesOf($column) !== [])<datalist id="names-{{ $column->value }}">
            @foreach ($catalogue->namesOf($column) as $each)<option value="{{ $each }}"></option>@endforeach</datalist>@endif @endforeach
        <p class="actions py-4">
            <button class="button do">{{ Text::of('build.cars.record_the_cars') }}</button>
            <button type="button" class="button" data-grid-kit>{{ Text::of('build.cars.fill_empty_cells_from_the_kit') }}</button>
            <button type="button" class="button plain" data-grid-undo hidden>{{ Text::of('build.cars.undo') }}</button>
            <span class="small">{{ Text::of('build.cars.paste_from_a_spreadsheet') }}</span>
        </p>
    </form>
    <details class="disclosure pb-6 no-print"><summary>{{ Text::of('build.cars.more_columns') }}</summary>
        <form method="get" action="{{ route('cars.all', $challenge) }}">
            <div class="ticks">@foreach ($all->further() as $column)<label class="tick"><input type="checkbox" name="more_{{ $column->value }}"
                value="1"><span>{{ Label::title($column) }}</span></label>@endforeach</div>
            @foreach ($all->added as $column)<input type="hidden" name="more_{{ $column->value }}" value="1">@endforeach
            <button class="button mt-2">{{ Text::of('build.cars.show_them') }}</button>
        </form>
    </details>
    @endif
</x-layout>
