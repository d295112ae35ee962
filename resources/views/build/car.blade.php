@php
    use Skivo\Core\Physics\SizeMeasure;
    use Skivo\Core\Car\Attribute\CarAttribute;
    use Skivo\Core\Car\Attribute\Step;
    use Skivo\Core\Car\Attribute\EnergySource;
    use Skivo\Core\Car\Attribute\PartKind;
    $units = $challenge->units;
    $choices = $reading->car;
    $say = new Words($units);
    $catalogue = $challenge->catalogue();
    $held = fn (CarAttribute $choice) => match (true) {
        $choice->isQuantity() => $choices->quantities[$choice->value]->text ?? null,
        $choice->isCount() => $choices->counts[$choice->value] ?? null,
        default => $choices->kind($choice),
    };
    $usual = fn (CarAttribute $choice) => match (true) {
        $choice === CarAttribute::Surface => $challenge->surface,
        $choice->isQuantity() => $kit->quantities[$choice->value]->text ?? null,
        $choice->isCount() => $kit->counts[$choice->value] ?? null,
        default => $kit->kind($choice),
    };
    // At the group's own tablet: nothing that leads out of it.
    $isOwn = auth()->user() instanceof \App\Models\Device;
    $hasRun = $car !== null && $car->runs->isNotEmpty() && ! $car->choices->isEmpty();
    $hints = [
        'rear_axle_place' => Text::of('build.car.measured_from_the_rear_end_of'),
        'pump_strokes' => Text::of('build.car.if_filled_by_counting'),
        'nozzle_outlets' => Text::of('build.car.how_many_blow_side_by_side'),
        'nozzle_angle' => Text::of('build.car.in_degrees_0_is_straight_back'),
        'nozzle_height' => Text::of('build.car.to_the_middle_of_the_tube'),
        'chain_length' => Text::of('build.car.hint_chain'),
        'bands_in_chain' => Text::of('build.car.hint_in_chain'),
        'turns_wound' => Text::of('build.car.hint_turns'),
        'hook_place' => Text::of('build.car.hint_hook'),
        'installed_length' => Text::of('build.car.hint_installed'),
        'winding_diameter' => Text::of('build.car.hint_winding'),
        'ramp_height' => Text::of('build.car.hint_ramp'),
        'ballast' => Text::of('build.car.hint_ballast'),
        'mass' => Text::of('build.car.on_a_scale_balloon_empty'),
        'surface' => Text::of('build.car.if_not_the_challenges'),
        'track' => Text::of('build.car.middle_of_wheel_to_middle_of'),
        'wheel_hub' => Text::of('build.car.where_the_axle_goes_through_a'),
        'band_turns' => Text::of('build.car.three_or_four_hold_the_neck'),
    ];
    $hint = fn (CarAttribute $choice) => $hints[$choice->value] ?? null;
    $kindOf = fn (Step $step) => match ($step) {
        Step::Chassis => PartKind::Chassis, Step::Axles => PartKind::Bearing, Step::Wheels => PartKind::Wheel,
        Step::Power => PartKind::Balloon, Step::Nozzle => PartKind::Nozzle, Step::Floor => PartKind::Surface, default => null,
    };
    // Of which sources of energy something is asked: the rest of the sheet hides by that.
    $of = fn (CarAttribute $choice) => implode(' ', array_map(
        fn ($source) => str_replace(' ', '-', $source->value), array_filter(EnergySource::cases(), $choice->belongsTo(...))));
    $known = $reading->known();
    // A group is asked for what it may vary; the rest is the kit's.
    $asked = $isOwn && ! $challenge->rules()->isFreeDesign() && $challenge->rules()->free !== [] ? $challenge->rules()->free : Step::cases();
    $outline = \Skivo\Core\Car\Geometry\Outline::read($choices->kind(CarAttribute::ChassisOutline))->percent ?? [100, 100, 100, 80, 40];
    $recorded = fn (Step $step) => count(array_filter($step->attributes(), fn ($choice) => $choices->has($choice)));
@endphp
<x-layout :title="Text::of('build.car.car_of', ['group' => $group->name])" :challenge="$challenge" :record="$record" stage="build" :line="$challenge->question">
    @if ($isOwn)<x-path-head :challenge="$challenge" :group="$group" :own="$own" :words="new \App\Language\PathWords($challenge->age)"
        :here="\Skivo\Core\Notebook\Station::Idea" />@endif
    <div class="lead-in">
        <div>
            <h2 class="with-mark">{{ Glyph::of($group->mark) }}<span>{!! Text::html('build.car.the_car_of', [
                'group' => \Illuminate\Support\Str::limit($group->name, 80),
                'version' => ($car->version ?? 1) > 1 ? Text::of('build.car.version', ['version' => $car->version]) : '',
            ]) !!}</span>
            </h2>
            <p class="small mt-1">{!! Text::html('build.car.in_the_order_of_the_build') !!}</p>
            @if (! $isOwn)<x-forecast :challenge="$challenge" :record="$record" :car="$car" />@endif
        </div>
        <p class="actions no-print">
            @if (! $isOwn && ($group->cars->count() > 1 || $car?->changes()->exists()))<a class="button plain"
                href="{{ route('cars.versions', [$challenge, $group]) }}">{{ Text::of('build.car.its_versions') }}</a>@endif
            @if (! $isOwn && $car !== null && ! $car->choices->isEmpty())<a class="button plain"
                href="{{ route('checks.edit', [$challenge, $group]) }}">{{ Text::of('build.car.its_check_card') }}</a>
                <a class="button plain" href="{{ route('dry-run.show', [$challenge, 'car' => $car->id]) }}">{{ Text::of('frame.layout.dry_run') }}</a>@endif
            <a class="button plain" href="{{ route('cars.photo', [$challenge, $group]) }}">{{ Text::of('photo.sheet.from_a_photo') }}</a>
            @unless ($fromKit || $isOwn)<a class="button"
                href="{{ route('cars.edit',
                [$challenge, $group, 'kit' => 1]) }}">{{ Text::of('build.car.fill_in_from_the_kit') }}</a>@endunless
        </p>
    </div>
    <x-errors />
    @if ($fromPhoto && ! $errors->any())<p class="flash" role="status">{{ Text::of('photo.sheet.filled') }}</p>@endif
    @if ($fromKit && ! $errors->any())<p class="flash" role="status">{{ Text::of('build.car.the_kits_values_stand_in_the') }}</p>@endif
    <nav class="steps no-print" aria-label="{{ Text::of('build.car.steps_of_the_build') }}">
        <ol>@foreach ($asked as $step)<li @if ($step === Step::Nozzle) data-of="{{ $of(CarAttribute::NozzleBore) }}" @endif><a
            href="#{{ $step->value }}" data-part="{{ $step->value }}">{{ Label::of($step) }}
        <span class="num">{{ $recorded($step) === 0 ? Text::of('build.car.later') : $recorded($step) }}</span></a>
            </li>@endforeach
            <li><a href="#all" data-part="all">{{ Text::of('build.car.everything') }}</a></li></ol>
    </nav>
    <div class="build-sheet">
        <section class="drawn" data-drawing aria-label="{{ Text::of('build.car.the_car_as_recorded') }}">@include('build.drawing')</section>
        <form method="post" action="{{ route('cars.update', [$challenge, $group]) }}" data-draw="{{ route('cars.draw', [$challenge, $group]) }}"
            @if (! $fromKit && ! $fromPhoto) data-keep="{{ \App\Actions\RecordCar::edition($car) }}" @endif>
            @csrf @method('put')<x-sent-with :units="$challenge->units" />
            <input type="hidden" name="edition" value="{{ \App\Actions\RecordCar::edition($car) }}">
            @if (session('conflict'))
                <div class="caution mt-0 mb-4" role="alert">
                    <p>
                        {!! Text::html('build.car.changed_this_cars_record_in_the', [
                            'who' => session('conflict')['by'],
                            'now' => \App\Language\Lists::and(session('conflict')['now']),
                        ]) !!}
                    </p>
                    <p>{{ Text::of('build.car.what_you_typed_is_below_record') }}</p>
                </div>
            @endif
            @foreach ($asked as $step)
                @php($main = array_filter($step->attributes(), fn ($choice) => $choice->facts()->isMain))
                @php($more = array_filter($step->attributes(), fn ($choice) => ! $choice->facts()->isMain))
                <section
                    class="step" id="{{ $step->value }}" aria-labelledby="{{ $step->value }}-title" tabindex="-1"
                    @if ($step === Step::Nozzle) data-of="{{ $of(CarAttribute::NozzleBore) }}" @endif>
                    <h3 id="{{ $step->value }}-title">{{ Label::of($step) }}
                        <span class="is-{{ $known[$step->value]->value }}">{{ Label::of($known[$step->value]) }}</span></h3>
                    <div class="form-grid narrow">
                        @if ($step === Step::Power)<x-tick-choice :choice="CarAttribute::EnergySource" :held="$held(CarAttribute::EnergySource)" />@endif
                        @if ($kindOf($step) !== null)
                        <div class="of-drive" @if ($step === Step::Power) data-of="{{ $of(CarAttribute::BalloonNominal) }}" @endif><x-part-pictures
                            :kind="$kindOf($step)"
                                :offers="\App\Pages\Build\PartOffer::of($kindOf($step), $catalogue, $plan->kit, $units,
                                    $isOwn ? $challenge->rules()->allowed : [])"
                            :held="old($kindOf($step)->named()->value, $held($kindOf($step)->named()))" /></div>
                        @endif
                        @foreach ($main as $choice)
                            @continue($choice === CarAttribute::EnergySource)
                            <div class="of-drive" @if ($choice->isOfTheDrive()) data-of="{{ $of($choice) }}" @endif>
                            @if ($choice->options() !== [])
                                <x-tick-choice :choice="$choice" :held="$held($choice)" />
                            @else
                                <x-car-field
                                    :choice="$choice" :car="$choices" :kit="$kit" :units="$units" :held="$held($choice)" :usual="$usual($choice)"
                                    :hint="$hint($choice)" :suggestions="$catalogue->namesOf($choice)" />
                            @endif
                            @if ($choice === CarAttribute::BalloonSize)
                                <fieldset>
                                    <legend class="field-label mb-1">{{ Text::of('build.car.measured') }}</legend>
                                    @php($as = $choices->balloonMeasuredAs ?? SizeMeasure::Diameter)
                                    <div class="quick-ticks">
                                        <x-choice name="balloon_measured_as" value="diameter" :checked="$as === SizeMeasure::Diameter">
                                            {{ Text::of('build.car.across_diameter') }}</x-choice>
                                        <x-choice name="balloon_measured_as" value="circumference" :checked="$as === SizeMeasure::Circumference">
                                            {{ Text::of('build.car.around_circumference') }}</x-choice>
                                    </div>
                                </fieldset>
                            @endif
                            </div>
                        @endforeach
                    </div>
                    @if ($step === Step::Chassis)
                        <fieldset class="outline-editor">
                            <legend class="field-label">{{ Text::of('build.car.your_outline') }}</legend>
                            <p class="hint">{{ Text::of('build.car.how_wide_at_five_places') }}</p>
                            <div class="outline-rules">
                            @foreach ($outline as $place => $percent)
                                <label><input type="range" min="{{ \Skivo\Core\Car\Geometry\Outline::LEAST }}" max="100"
                                        step="5" value="{{ $percent }}" data-outline>
                                    <span>{{ Text::of("build.car.outline_{$place}") }}</span></label>
                            @endforeach
                            </div>
                        </fieldset>
                    @endif
                    @if ($more !== [])
                        @php($open = array_filter($more, fn ($choice) => $held($choice) !== null || $errors->has($choice->value)) !== [])
                        <details class="disclosure" @if ($open) open @endif>
                            <summary>
                                {{ match ($step) { Step::Axles => Text::of('build.car.rear_axle_if_it_differs_and'),
                                    Step::Nozzle => Text::of('build.car.tubes_in_series_and_mass'),
                                    Step::Power => Text::of('build.car.joint_and_balloon_in_detail'),
                                    default => Text::of('build.car.more') } }}
                            </summary>
                            <div class="form-grid narrow mt-2">
                                @foreach ($more as $choice)
                                    <div class="of-drive" @if ($choice->isOfTheDrive()) data-of="{{ $of($choice) }}" @endif><x-car-field
                                        :choice="$choice" :car="$choices" :kit="$kit" :units="$units" :held="$held($choice)" :usual="$usual($choice)"
                                        :hint="$hint($choice)" /></div>
                                @endforeach
                            </div>
                        </details>
                    @endif
                    @if ($step === Step::Mass && $scale !== null)
                        @php($weighed = str_replace("\u{00A0}", ' ',
                            $units->show((float) ($scale->data['value_kg'] ?? 0.0), \Skivo\Core\Measurement\Scale::Weight)))
                        <p class="small mt-2">
                            {!! Text::html('build.car.the_scale_showed',
                                ['weighed' => $weighed, 'at' => Moment::of($scale->measured_at)]) !!}
                            <button type="button" class="button plain" data-fill="mass"
                                data-value="{{ $weighed }}">{{ Text::of('build.car.take_it') }}</button>
                        </p>
                    @endif
                    @if ($step === Step::Floor)
                    <x-field class="mt-4" name="note" :label="Text::of('build.car.note')" optional :value="$choices->note" maxlength="1000" />
                    @endif
                </section>
            @endforeach
            @if ($hasRun)
                <section class="step no-print">
                    <h3>{{ Text::of('build.car.this_change') }}</h3>
                    <div class="grid gap-4">
                        <fieldset>
                            <legend class="field-label mb-1">{{ Text::of('build.car.version_has_run_so_say_which', ['version' => $car->version]) }}</legend>
                            <div class="choices">
                                <x-choice
                                    name="save_as" value="version" :checked="request()->boolean('changed')"
                                    :hint="Text::of('build.car.its_tries_start_afresh_version_stays', ['version' => $car->version])">
                                    {{ Text::of('build.car.the_car_was_changed_make_it', ['version' => $car->version + 1]) }}
                                </x-choice>
                                <x-choice name="save_as" value="correction" :hint="Text::of('build.car.the_runs_stay_with_these_choices')">
                                    {{ Text::of('build.car.only_the_record_was_wrong') }}</x-choice>
                            </div>
                            @error('save_as')<p class="error" id="e-save_as">{{ $message }}</p>@enderror
                        </fieldset>
                        <x-field
                            name="reason" :label="Text::of('build.car.why_was_it_changed')" optional
                            :hint="Text::of('build.car.in_the_groups_words')" maxlength="1000" />
                    </div>
                </section>
            @endif
            <p class="actions sheet-foot">
                <button class="button do">{{ Text::of('build.car.record_this_car') }}</button>
                @if (! $isOwn && $record->groups->count() > 1 && ! $hasRun)<button class="button" name="then_next"
                    value="1">{{ Text::of('build.car.record_then_the_next_group') }}</button>@endif
                <a class="button plain" href="{{ $isOwn ? route('groups.own', [$challenge, $group])
                    : route('groups.index', $challenge) }}">{{ Text::of('build.car.back_without_saving') }}</a>
            </p>
        </form>
            @if (! $isOwn && $car !== null && ($reading->breaches !== [] || $reading->allowed !== []))
                <section id="rules" class="against-rules">
                    <h3>{{ Text::of('build.car.against_the_rules') }}</h3>
                    @foreach ($reading->breaches as $breach)
                        <form method="post" action="{{ route('cars.allow', [$challenge, $group, $breach->rule]) }}" class="mt-3">
                            @csrf @method('put')
                            <p>{{ $say->say($breach->remark) }}</p>
                            <div class="flex gap-2 mt-1">
                                <input
                                    class="input" name="allow_reason"
                                    aria-label="{{ Text::of('build.car.why_it_is_allowed', ['remark' => $say->say($breach->remark)]) }}"
                                    placeholder="{{ Text::of('build.car.why_it_is_allowed_2') }}" maxlength="1000">
                                <button class="button">{{ Text::of('build.car.allow') }}</button></div>
                        </form>
                    @endforeach
                    @error('allow_reason')<p class="error">{{ $message }}</p>@enderror
                    @foreach ($reading->allowed as [$breach, $allowance])
                        <form method="post" action="{{ route('cars.disallow', [$challenge, $group, $breach->rule]) }}" class="mt-3 small">
                            @csrf @method('delete')
                            <p>
                                {!! Text::html('build.car.allowed_by', [
                                    'remark' => $say->say($breach->remark),
                                    'user' => $allowance->user->name ?? __('frame.gone_device'),
                                    'reason' => $allowance->reason,
                                ]) !!} <button class="button plain min-h-0 p-1">{{ Text::of('build.car.no_longer') }}</button>
                            </p>
                        </form>
                    @endforeach
                </section>
            @endif
    </div>
</x-layout>
