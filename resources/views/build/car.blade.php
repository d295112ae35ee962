@php
    use Skivo\Core\Physics\SizeMeasure;
    use Skivo\Core\Car\Choice;
    use Skivo\Core\Car\Step;
    use Skivo\Core\Car\Suggestions;
    use Skivo\Core\Physics\WheelMount;
    $units = $challenge->units;
    $choices = $reading->car;
    $held = fn (Choice $choice) => match (true) {
        $choice->isQuantity() => $choices->quantities[$choice->value]->text ?? null,
        $choice->isCount() => $choices->counts[$choice->value] ?? null,
        default => $choices->kind($choice),
    };
    $usual = fn (Choice $choice) => match (true) {
        $choice === Choice::Surface => $challenge->surface,
        $choice->isQuantity() => $kit->quantities[$choice->value]->text ?? null,
        $choice->isCount() => $kit->counts[$choice->value] ?? null,
        default => $kit->kind($choice),
    };
    // At the group's own tablet: nothing that leads out of it.
    $isOwn = auth()->user() instanceof \App\Models\Device;
    $hasRun = $car !== null && $car->runs->isNotEmpty();
    $hints = [
        'rear_axle_place' => 'measured from the rear end of the chassis',
        'pump_strokes' => 'if filled by counting',
        'nozzle_outlets' => 'how many blow side by side',
        'nozzle_angle' => 'in degrees; 0 is straight back, 180 forward',
        'nozzle_height' => 'to the middle of the tube, where it leaves the chassis',
        'mass' => 'on a scale, balloon empty',
        'surface' => 'if not the challenge’s',
        'track' => 'middle of wheel to middle of wheel',
        'wheel_hub' => 'where the axle goes through; a cap is thin there',
        'band_turns' => 'three or four hold the neck',
    ];
    $hint = fn (Choice $choice) => $hints[$choice->value] ?? ($choice->isQuantity() ? 'in ' . \App\Wording\Phrase::unit($choice->bareUnit($units)) . ' unless you type a unit' : null);
    $recorded = fn (Step $step) => count(array_filter($step->choices(), fn ($choice) => $choices->has($choice)));
@endphp
<x-layout :title="'Car of ' . $group->name" :challenge="$challenge" :record="$record" stage="build" :line="$challenge->question">
    <div class="lead-in">
        <div>
            <h2 class="with-mark"><x-mark :mark="$group->mark" class="!w-7 !h-7" /><span>The car of <bdi>{{ \Illuminate\Support\Str::limit($group->name, 80) }}</bdi>{{ ($car->version ?? 1) > 1 ? ", version {$car->version}" : '' }}</span></h2>
            <p class="small mt-1">In the order of the build. Each step may wait; leave empty what you don’t know. Type as you measured: <span class="num">8 1/2 in</span>, <span class="num">21.6 cm</span>, <span class="num">2 oz</span>.</p>
        </div>
        <p class="actions no-print">
            @if (! $isOwn && ($group->cars->count() > 1 || $car?->changes()->exists()))<a class="button plain" href="{{ route('cars.versions', [$challenge, $group]) }}">Its versions</a>@endif
            @if (! $isOwn && $car !== null && ! $car->choices->isEmpty())<a class="button plain" href="{{ route('checks.edit', [$challenge, $group]) }}">Its check card</a>@endif
            @unless ($fromKit)<a class="button" href="{{ route('cars.edit', [$challenge, $group, 'kit' => 1]) }}">Fill in from the kit</a>@endunless
        </p>
    </div>
    <x-errors />
    @if ($fromKit && ! $errors->any())<p class="flash" role="status">The kit’s values stand in the empty fields. Change what is different on this car; nothing is recorded yet.</p>@endif
    <nav class="steps no-print" aria-label="Steps of the build">
        <ol>@foreach (Step::cases() as $step)<li><a href="#{{ $step->value }}">{{ $step->label() }} <span class="num">{{ $recorded($step) === 0 ? 'later' : $recorded($step) }}</span></a></li>@endforeach</ol>
    </nav>
    <div class="build-sheet">
        <form method="post" action="{{ route('cars.update', [$challenge, $group]) }}" data-draw="{{ route('cars.draw', [$challenge, $group]) }}">
            @csrf @method('put')<x-sent-with :units="$challenge->units" /><input type="hidden" name="edition" value="{{ \App\Actions\RecordCar::edition($car) }}">
            @if (session('conflict'))
                <div class="caution !mt-0 mb-4" role="alert">
                    <p><strong><bdi>{{ session('conflict')['by'] }}</bdi> changed this car’s record in the meantime.</strong> Against what you typed, it says now: <bdi>{{ \App\Wording\Lists::and(session('conflict')['now']) }}</bdi>.</p>
                    <p>What you typed is below. Record it over theirs, or leave theirs with “Back without saving”.</p>
                </div>
            @endif
            @foreach (Step::cases() as $step)
                @php($main = array_filter($step->choices(), Step::isMain(...)))
                @php($more = array_filter($step->choices(), fn ($choice) => ! Step::isMain($choice)))
                <section class="step" id="{{ $step->value }}" aria-labelledby="{{ $step->value }}-title">
                    <h3 id="{{ $step->value }}-title">{{ $step->label() }}</h3>
                    <div class="form-grid narrow">
                        @foreach ($main as $choice)
                            @if ($choice === Choice::WheelMount)
                                <fieldset class="wide">
                                    <legend class="field-label mb-1">Wheels are</legend>
                                    <div class="choices">
                                        <x-choice name="wheel_mount" value="" :checked="$held($choice) === null">not noted</x-choice>
                                        <x-choice name="wheel_mount" :value="WheelMount::Fixed->value" :checked="$held($choice) === WheelMount::Fixed->value" hint="the axle turns in its bearing">fixed to the axle</x-choice>
                                        <x-choice name="wheel_mount" :value="WheelMount::Spinning->value" :checked="$held($choice) === WheelMount::Spinning->value" hint="the axle stands still">spinning on the axle</x-choice>
                                    </div>
                                    @error('wheel_mount')<p class="error">{{ $message }}</p>@enderror
                                </fieldset>
                            @elseif ($choice === Choice::WheelHollow)
                                <div class="field">
                                    <label for="f-wheel_hollow">{{ $choice->label() }}</label>
                                    <select id="f-wheel_hollow" name="wheel_hollow" class="input">
                                        <option value="">not noted, or not hollow</option>
                                        @foreach (\Skivo\Core\Physics\Hollow::cases() as $way)<option value="{{ $way->value }}" @selected(old('wheel_hollow', $held($choice)) === $way->value)>{{ $way->value }}</option>@endforeach
                                    </select>
                                    <p class="hint">of a cap or lid</p>
                                </div>
                            @else
                                <x-field :name="$choice->value" :label="$choice->label()" :value="$held($choice)" :suggestions="$choice->isKind() ? Suggestions::for($choice) : []" :inputmode="$choice->isCount() ? 'numeric' : 'text'" :hint="$hint($choice)" :placeholder="$usual($choice)" />
                            @endif
                            @if ($choice === Choice::BalloonSize)
                                <fieldset>
                                    <legend class="field-label mb-1">Measured</legend>
                                    @php($as = $choices->balloonMeasuredAs ?? SizeMeasure::Diameter)
                                    <div class="choices !grid-cols-1">
                                        <x-choice name="balloon_measured_as" value="diameter" :checked="$as === SizeMeasure::Diameter">across (diameter)</x-choice>
                                        <x-choice name="balloon_measured_as" value="circumference" :checked="$as === SizeMeasure::Circumference">around (circumference)</x-choice>
                                    </div>
                                </fieldset>
                            @endif
                        @endforeach
                    </div>
                    @if ($more !== [])
                        @php($open = array_filter($more, fn ($choice) => $held($choice) !== null || $errors->has($choice->value)) !== [])
                        <details class="disclosure" @if ($open) open @endif>
                            <summary>{{ match ($step) { Step::Axles => 'Rear axle, if it differs, and mass', Step::Nozzle => 'Tubes in series, and mass', Step::Power => 'Joint and balloon in detail', default => 'More' } }}</summary>
                            <div class="form-grid narrow mt-2">
                                @foreach ($more as $choice)
                                    <x-field :name="$choice->value" :label="$choice->label()" :value="$held($choice)" :inputmode="$choice->isCount() ? 'numeric' : 'text'" :hint="$hint($choice)" :placeholder="$usual($choice)" />
                                @endforeach
                            </div>
                        </details>
                    @endif
                    @if ($step === Step::Mass && $scale !== null)
                        @php($weighed = str_replace("\u{00A0}", ' ', $units->show((float) ($scale->data['value_kg'] ?? 0.0), \Skivo\Core\Measurement\Scale::Weight)))
                        <p class="small mt-2">The scale showed <span class="num">{{ $weighed }}</span> <x-moment :at="$scale->measured_at" />. <button type="button" class="button plain" data-fill="mass" data-value="{{ $weighed }}">Take it</button></p>
                    @endif
                    @if ($step === Step::Floor)<x-field class="mt-4" name="note" label="Note" optional :value="$choices->note" maxlength="1000" />@endif
                </section>
            @endforeach
            @if ($hasRun)
                <section class="step">
                    <h3>This change</h3>
                    <div class="grid gap-4">
                        <fieldset>
                            <legend class="field-label mb-1">Version {{ $car->version }} has run, so say which it is</legend>
                            <div class="choices">
                                <x-choice name="save_as" value="version" checked :hint="'its tries start afresh; version ' . $car->version . ' stays on record'">The car was changed: make it version {{ $car->version + 1 }}</x-choice>
                                <x-choice name="save_as" value="correction" hint="the runs stay with these choices">Only the record was wrong</x-choice>
                            </div>
                        </fieldset>
                        <x-field name="reason" label="Why was it changed?" optional hint="in the group’s words" maxlength="1000" />
                    </div>
                </section>
            @endif
            <p class="actions sheet-foot">
                <button class="button do">Record this car</button>
                @if (! $isOwn && $record->groups->count() > 1 && ! $hasRun)<button class="button" name="then_next" value="1">Record, then the next group</button>@endif
                <a class="button plain" href="{{ $isOwn ? route('groups.own', [$challenge, $group]) : route('groups.index', $challenge) }}">Back without saving</a>
            </p>
        </form>
        <aside class="beside" aria-label="The car as recorded">
            <div data-drawing aria-live="polite">@include('build.drawing')</div>
            @if (! $isOwn && $car !== null && ($reading->breaches !== [] || $reading->allowed !== []))
                <section id="rules" class="mt-4 border-t border-rule pt-3">
                    <h3>Against the rules</h3>
                    @foreach ($reading->breaches as $breach)
                        <form method="post" action="{{ route('cars.allow', [$challenge, $group, $breach->rule]) }}" class="mt-3">
                            @csrf @method('put')
                            <p>{{ $breach->message }}</p>
                            <div class="flex gap-2 mt-1"><input class="input" name="allow_reason" aria-label="Why it is allowed: {{ $breach->message }}" placeholder="why it is allowed" maxlength="1000"><button class="button">Allow</button></div>
                        </form>
                    @endforeach
                    @error('allow_reason')<p class="error">{{ $message }}</p>@enderror
                    @foreach ($reading->allowed as [$breach, $allowance])
                        <form method="post" action="{{ route('cars.disallow', [$challenge, $group, $breach->rule]) }}" class="mt-3 small">
                            @csrf @method('delete')
                            <p>{{ $breach->message }} Allowed by {{ $allowance->user->name }}: “<bdi>{{ $allowance->reason }}</bdi>” <button class="button plain !min-h-0 !p-1">No longer</button></p>
                        </form>
                    @endforeach
                </section>
            @endif
        </aside>
    </div>
</x-layout>
