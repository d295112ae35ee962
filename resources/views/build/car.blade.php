@php
    use Skivo\Core\Balloon\SizeMeasure;
    use Skivo\Core\Build\Choice;
    use Skivo\Core\Build\Suggestions;
    use Skivo\Core\Rolling\WheelMount;
    $units = $challenge->units;
    $choices = $car?->choices;
    $held = fn (Choice $choice) => match (true) {
        $choice->isQuantity() => $choices->quantities[$choice->value]->text ?? null,
        $choice->isCount() => $choices->counts[$choice->value] ?? null,
        default => $choices?->kind($choice),
    };
    $hasRun = $car !== null && $car->runs->isNotEmpty();
    $unit = fn (Choice $choice) => $choice->bareUnit($units)?->value;
    $parts = [
        'Nozzle' => [Choice::NozzleKind, Choice::NozzleBore, Choice::NozzleOutlets, Choice::NozzleLength],
        'Balloon' => [Choice::BalloonNominal, Choice::BalloonSize, Choice::PumpStrokes],
        'Wheels' => [Choice::WheelKind, Choice::WheelDiameter, Choice::WheelMount],
        'Car' => [Choice::Mass, Choice::Chassis, Choice::Surface],
    ];
@endphp
<x-layout :title="'Car of ' . $group->name" :challenge="$challenge" :record="$record" stage="build" :line="$challenge->question">
    <div class="lead-in">
        <h2 class="with-mark"><x-mark :mark="$group->mark" class="!w-7 !h-7" /><span>The car of <bdi>{{ \Illuminate\Support\Str::limit($group->name, 80) }}</bdi>{{ ($car->version ?? 1) > 1 ? ", version {$car->version}" : '' }}</span></h2>
        <p class="small">Leave empty what you don’t know. Type as you measured: <span class="num">8 1/2 in</span>, <span class="num">21.6 cm</span>, <span class="num">2 oz</span>.</p>
    </div>
    <x-errors />
    <form method="post" action="{{ route('cars.update', [$challenge, $group]) }}">
        @csrf @method('put')
        @foreach ($parts as $title => $fields)
            <section class="form-part">
                <h2>{{ $title }}</h2>
                <div class="form-grid">
                    @foreach ($fields as $choice)
                        @if ($choice === Choice::WheelMount)
                            <fieldset class="wide">
                                <legend class="field-label mb-1">Wheels are</legend>
                                <div class="choices max-w-2xl">
                                    <x-choice name="wheel_mount" value="" :checked="$held($choice) === null">not noted</x-choice>
                                    <x-choice name="wheel_mount" :value="WheelMount::Fixed->value" :checked="$held($choice) === WheelMount::Fixed->value" hint="the axle turns in its bearing">fixed to the axle</x-choice>
                                    <x-choice name="wheel_mount" :value="WheelMount::Spinning->value" :checked="$held($choice) === WheelMount::Spinning->value" hint="the axle stands still">spinning on the axle</x-choice>
                                </div>
                                @error('wheel_mount')<p class="error">{{ $message }}</p>@enderror
                            </fieldset>
                        @elseif ($choice->isKind())
                            <x-field :name="$choice->value" :label="$choice === Choice::Surface ? 'Surface, if not the challenge’s' : $choice->label()" :value="$held($choice)" :suggestions="Suggestions::for($choice)" :placeholder="$choice === Choice::Surface ? $challenge->surface : null" />
                        @elseif ($choice->isCount())
                            <x-field :name="$choice->value" :label="$choice->label()" :value="$held($choice)" inputmode="numeric" :hint="$choice === Choice::PumpStrokes ? 'if filled by counting' : 'how many blow side by side'" />
                        @else
                            <x-field :name="$choice->value" :label="$choice->label()" :value="$held($choice)" inputmode="text" :hint="'in ' . $unit($choice) . ' unless you type a unit'" />
                        @endif
                        @if ($choice === Choice::BalloonSize)
                            <fieldset>
                                <legend class="field-label mb-1">Measured</legend>
                                @php($as = $choices?->balloonMeasuredAs ?? SizeMeasure::Diameter)
                                <div class="choices !grid-cols-1">
                                    <x-choice name="balloon_measured_as" value="diameter" :checked="$as === SizeMeasure::Diameter">across (diameter)</x-choice>
                                    <x-choice name="balloon_measured_as" value="circumference" :checked="$as === SizeMeasure::Circumference">around (circumference)</x-choice>
                                </div>
                            </fieldset>
                        @endif
                    @endforeach
                    @if ($title === 'Car')
                        <x-field class="wide max-w-2xl" name="note" label="Note" optional :value="$choices?->note" maxlength="1000" />
                    @endif
                </div>
            </section>
        @endforeach
        @if ($hasRun)
            <section class="form-part">
                <h2>This change</h2>
                <div class="grid gap-4">
                    <fieldset>
                        <legend class="field-label mb-1">Version {{ $car->version }} has run, so say which it is</legend>
                        <div class="choices max-w-2xl">
                            <x-choice name="save_as" value="version" checked :hint="'its tries start afresh; version ' . $car->version . ' stays on record'">The car was changed: make it version {{ $car->version + 1 }}</x-choice>
                            <x-choice name="save_as" value="correction" hint="the runs stay with these choices">Only the record was wrong</x-choice>
                        </div>
                    </fieldset>
                    <x-field class="max-w-2xl" name="reason" label="Why was it changed?" optional hint="in the group’s words" maxlength="1000" />
                </div>
            </section>
        @endif
        <p class="actions border-t border-rule py-5">
            <button class="button do">Record this car</button>
            @if ($record->groups->count() > 1 && ! $hasRun)<button class="button" name="then_next" value="1">Record, then the next group</button>@endif
            <a class="button plain" href="{{ route('groups.index', $challenge) }}">Back without saving</a>
        </p>
    </form>
</x-layout>
