<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use App\Language\DesignWords;
use App\Language\Figure;
use App\Language\Label;
use App\Language\Lists;
use App\Language\Moment;
use App\Language\Sentence;
use App\Language\Text;
use App\Models\Challenge;
use App\Record\ClassPlan;
use Skivo\Core\Car\Attribute\Drive;
use Skivo\Core\Car\Attribute\EnergySource;
use Skivo\Core\Car\Attribute\Step;
use Skivo\Core\Challenge\Goal;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Session\Phase;
use Skivo\Core\Session\Remedy;
use Skivo\Core\Session\RunOrder;
use Skivo\Core\Session\Timetable;

/** The plan of a session in words. */
final readonly class PlanWords
{
    public function __construct(
        private ClassPlan $plan,
        private Timetable $timetable,
        private RunOrder $order,
    ) {}

    /** What a class without a question is asked to do. */
    public function callToBuild(): string
    {
        $sources = array_map(static fn(ClassPlan $plan): EnergySource => $plan->kit->source, $this->plan->each());

        return Text::of(match (true) {
            array_unique(array_column($sources, 'value')) === [EnergySource::Balloon->value] => 'plan.brief_class.build_a_car_that_runs_on',
            array_unique(array_column($sources, 'value')) === [EnergySource::ElasticBand->value]
                => 'plan.brief_class.build_a_car_that_a_band_drives',
            default => 'plan.brief_class.build_a_car_that_moves_by_itself',
        });
    }

    /** @return array<string, list<string>> the steps of the kit's car; of a class that builds two in two ways, those of the other that differ, too */
    public function waysToBuild(): array
    {
        $told = array_map(function (ClassPlan $plan): array {
            $words = new StepWords($plan->classSteps(), $this->plan->challenge->units);

            return array_map($words->say(...), $words->steps->tasks);
        }, $this->plan->each());
        $others = array_values(array_diff($told[1] ?? [], $told[0]));
        if ($others === []) {
            return ['' => $told[0]];
        }
        $builds = new DesignWords($this->plan);

        return [
            Text::of('plan.brief_class.cars_with', ['kind' => $builds->one(false)]) => $told[0],
            Text::of('plan.brief_class.cars_with_instead', ['kind' => $builds->one(true)]) => $others,
        ];
    }

    /** @return list<string> what opens a lesson in two minutes, with a band or one's own breath */
    public function opening(): array
    {
        return array_map(Text::of(...), [
            'plan.brief_helpers.stretch_a_band', 'plan.brief_helpers.blow_on_a_hand', 'plan.brief_helpers.without_its_drive',
        ]);
    }

    /** @return list<string> what whoever helps at the lane is told of what drives the cars */
    public function atTheLane(): array
    {
        $has = fn(Drive $drive): bool => array_filter(
            $this->plan->each(),
            static fn(ClassPlan $plan): bool => $plan->kit->source->has($drive),
        ) !== [];

        return array_map(Text::of(...), [
            ...($has(Drive::Balloon)
                ? ['plan.brief_helpers.fill_the_balloon_as_the_group', 'plan.brief_helpers.close_the_nozzle_with_a_fingertip'] : []),
            ...($has(Drive::Band) ? ['plan.brief_helpers.wind_as_the_group_has_noted'] : []),
        ]);
    }

    /** @return list<Sentence> */
    public function fit(): array
    {
        $said = [$this->fitSentence()];
        if ($this->timetable->idleMin > 0.0) {
            $said[] = new Sentence(
                '',
                Text::of('plan.plan_words.go_by_waiting_for_glue_and', ['idle_min' => Figure::minutes($this->timetable->idleMin)]),
            );
        }
        $between = $this->order->heatsBetweenTries();
        if ($between === 0) {
            $said[] = new Sentence(
                Text::of('plan.plan_words.no_time_to_repair'),
                Text::of('plan.plan_words.a_groups_next_try_follows_straight'),
            );
        } elseif ($between !== null) {
            $said[] = new Sentence(
                '',
                Text::of(
                    'plan.plan_words.between_two_tries_a_group_has',
                    ['between' => Figure::minutes($between * $this->plan->plan->heat_min)],
                ),
            );
        }

        return $said;
    }

    public function remedy(Remedy $remedy): string
    {
        $changes = array_filter(
            [
                $remedy->lanes === null ? null : Text::of('plan.plan_words.run_on_lanes', ['lanes' => $remedy->lanes]),
                $remedy->tries === null
                    ? null
                    : (
                        $remedy->tries === 1
                            ? Text::of('plan.plan_words.give_each_group_1_try')
                            : Text::of('plan.plan_words.give_each_group_tries', ['tries' => $remedy->tries])
                    ),
                $remedy->minutesPerHeat === null
                    ? null
                    : Text::of(
                        'plan.plan_words.take_for_each_filling_of_the',
                        ['minutes_per_heat' => Figure::minutes($remedy->minutesPerHeat)],
                    ),
                $remedy->shorterBuildMin === null
                    ? null
                    : Text::of('plan.plan_words.build_for_less', ['shorter_build_min' => Figure::minutes($remedy->shorterBuildMin)]),
                $remedy->noSecondRound ? Text::of('plan.plan_words.leave_out_the_change_and_the') : null,
            ],
            static fn(?string $change): bool => $change !== null,
        );

        return Text::of(
            'plan.plan_words.then_it_takes',
            ['changes' => ucfirst(Lists::and(array_values($changes))), 'length_min' => Figure::minutes($remedy->lengthMin)],
        );
    }

    public function order(): string
    {
        $challenge = $this->plan->challenge;
        $heats = $this->order->heats();
        $said = Text::of(
            'plan.plan_words.each_in_all',
            [
                'groups' => Text::plural(
                    'plan.plan_words.group_groups',
                    $this->order->groups,
                ),
                'tries' => self::rounds($challenge),
                'how' => $this->order->lanes === 1 ? Text::plural('plan.plan_words.runs_one_after_the_other', $heats)
                                   : Text::of(
                                       'plan.plan_words.times_lanes_are_filled',
                                       ['heats' => $heats, 'lanes' => $this->order->lanes],
                                   ),
                'time' => Figure::minutes($this->order->minutes($this->plan->plan->heat_min)),
            ],
        );

        return $this->order->lanes === 1 ? $said : Text::of('plan.plan_words.lanes_change_from_try_to_try', ['said' => $said]);
    }

    /** As in "1 practice run, 3 tries, 2 timed runs". */
    private static function rounds(Challenge $challenge): string
    {
        return Lists::and(array_values(array_filter([
            $challenge->practice_runs === 0 ? null : Text::plural('plan.plan_words.practice_runs', $challenge->practice_runs),
            Text::plural('plan.plan_words.try_tries', $challenge->tries),
            $challenge->timed_rounds === 0 ? null : Text::plural('plan.plan_words.timed_runs', $challenge->timed_rounds),
        ])));
    }

    /** What a turn of the run order is, as in "try 2". */
    public static function turn(Challenge $challenge, int $number): string
    {
        $try = $number - $challenge->practice_runs;

        return match (true) {
            $try < 1 => Text::of('plan.run_order.practice', ['n' => $number]),
            $try > $challenge->tries => Text::of('plan.run_order.timed', ['n' => $try - $challenge->tries]),
            default => Text::of('plan.run_order.a_try', ['n' => $try]),
        };
    }

    /** @return list<string> the rules, one a line, for a sheet */
    public function rules(): array
    {
        $challenge = $this->plan->challenge;
        $units = $challenge->units;
        $rules = $challenge->rules();
        $said = [Text::of('plan.plan_words.each_group_has', ['tries' => $challenge->tries === 1 ? Text::of(
            'plan.plan_words.one_try',
        ) : Text::of(
            'plan.plan_words.tries',
            ['count' => $challenge->tries],
        ), 'which' => match ($challenge->scoring->value) {
            'best' => Text::of('plan.plan_words.the_best_one_counts'),
            'mean' => Text::of('plan.plan_words.the_mean_counts'),
            default => Text::of('plan.plan_words.the_middle_one_counts'),
        }])];
        $said[] = $challenge->push_is_foul
            ? Text::of('plan.plan_words.the_car_must_move_by_itself')
            : Text::of('plan.plan_words.a_push_at_the_start_is');
        if (!$rules->isFreeDesign()) {
            $free = array_map(static fn(Step $step): string => Label::inside($step), $rules->free);
            $said[] = $free === []
                ? Text::of('plan.plan_words.all_cars_are_built_alike')
                : Text::of('plan.plan_words.change_only_the_everything_else_is', ['free' => Lists::and($free, 6)]);
        }
        foreach (['balloons' => $rules->mostBalloons, 'straws' => $rules->mostStraws] as $what => $most) {
            if ($most !== null) {
                $said[] = Text::plural("plan.at_most.{$what}", $most);
            }
        }
        if ($rules->heaviestKg !== null) {
            $said[] = Text::of('plan.plan_words.a_car_weighs_at_most', ['heaviest_kg' => $units->show($rules->heaviestKg, Scale::Weight)]);
        }
        if ($rules->longestM !== null) {
            $said[] = Text::of('plan.plan_words.the_chassis_is_at_most_long', ['longest_m' => $units->show($rules->longestM, Scale::Body)]);
        }
        foreach ($rules->allowed as $kind => $names) {
            if ($names !== []) {
                $said[] = Text::of("plan.only.{$kind}", ['names' => implode(', ', $names)]);
            }
        }

        return $said;
    }

    /** What a helper writes down at each run. */
    public function toMeasure(): string
    {
        $challenge = $this->plan->challenge;
        $units = $challenge->units;

        return implode(', ', array_filter(
            [
                Text::of('plan.plan_words.where_the_car_stopped_from_the', ['distance' => $units->symbol(Scale::Distance)]),
                $challenge->timed_length === null
                    ? null
                    : Text::of(
                        'plan.plan_words.the_time_over',
                        ['si' => $units->show($challenge->timed_length->quantity->si(), Scale::Lane)],
                    ),
                $challenge->isAfter(Goal::Straightest) ? Text::of('plan.plan_words.how_far_off_the_line_it') : null,
                $challenge->isAfter(Goal::HeaviestLoad) ? Text::of('plan.plan_words.the_load_it_carried') : null,
            ],
            static fn(?string $each): bool => $each !== null,
        ));
    }

    /** A session, where there are several: as in "Session 2 · 14 May 2026, 09:00". */
    public function session(int $session): string
    {
        $start = $this->plan->plan->startOf($session);

        return Text::of('plan.timetable.session', ['n' => $session + 1]) . ($start === null ? '' : ' · ' . Moment::dayAndTime($start));
    }

    /** What stands around until the next session; null where that is nothing, or there is none. */
    public function carriedOver(int $session): ?string
    {
        if ($session >= count($this->timetable->sessionsMin) - 1) {
            return null;
        }
        $phases = $this->timetable->carriedOver($session);
        $next = $this->plan->plan->startOf($session + 1);
        $when = $next === null ? Text::of('plan.timetable.next_session') : Moment::dayAndTime($next);
        $said = array_map(static fn(Phase $phase): string => Text::of(
            $phase->waits() ? 'plan.timetable.sets_till' : 'plan.timetable.goes_on',
            ['phase' => Label::of($phase), 'when' => $when],
        ), $phases);

        return implode(' ', $said === [] ? [Text::of('plan.timetable.nothing_carried_over')] : $said);
    }

    /** @return array<string, int|float> what a remedy changes, by the name of its field */
    public function changes(Remedy $remedy): array
    {
        $plan = $this->plan->plan;

        return array_filter([
            'lanes' => $remedy->lanes,
            'tries' => $remedy->tries,
            'heat_min' => $remedy->minutesPerHeat,
            'phase_build' => $remedy->shorterBuildMin === null ? null : (int) ($plan->minutes(Phase::Build) - $remedy->shorterBuildMin),
            'tries_again' => $remedy->noSecondRound ? 0 : null,
            'phase_redesign' => $remedy->noSecondRound ? 0 : null,
        ], static fn(int|float|null $value): bool => $value !== null);
    }

    public function itFits(): bool
    {
        return $this->timetable->fits() && $this->timetable->spareMin() >= $this->buildIsShortBy();
    }

    /** What is planned for building and what it takes are one: a plan that leaves too little for it fits nothing. */
    private function fitSentence(): Sentence
    {
        $spare = $this->timetable->spareMin();
        if (!$this->timetable->fits()) {
            return new Sentence(Text::of('plan.plan_words.it_does_not_fit'), Text::of('plan.plan_words.it_takes_more_than_there_are', [
                'length_min' => Figure::minutes($this->timetable->lengthMin), 'spare' => Figure::minutes(-$spare),
            ]));
        }
        $short = $this->buildIsShortBy();
        if ($spare < $short) {
            $planned = $this->plan->plan->minutes(Phase::Build);

            return new Sentence(Text::of('plan.plan_words.it_does_not_fit'), Text::of('plan.plan_words.building_takes_longer', [
                'needs' => Figure::minutes($planned + $short), 'planned' => Figure::minutes($planned),
            ]));
        }

        return new Sentence(Text::of('plan.plan_words.it_fits'), Text::of('plan.plan_words.with_to_spare_of', [
            'spare' => Figure::minutes($spare - $short), 'length_min' => Figure::minutes($this->timetable->lengthMin + $short),
            'session_min' => Figure::minutes($this->timetable->sessionMin),
        ]));
    }

    /** By how much (min) building takes longer than is planned for it; 0 where it does not. */
    private function buildIsShortBy(): float
    {
        $needs = 5.0 * ceil($this->plan->buildTime()->buildMin() / 5.0);

        return max(0.0, $needs - $this->plan->plan->minutes(Phase::Build));
    }

    /**
     * What the build steps say of the build: how long it takes, how many adults are enough, how long to leave for setting.
     *
     * @return list<array{string, array<string, int|float>}> what is proposed, and what it changes by the name of its field
     */
    public function buildProposals(): array
    {
        $plan = $this->plan->plan;
        $time = $this->plan->buildTime();
        $proposals = [];
        $needs = (int) (5 * ceil($time->buildMin() / 5));
        if ($plan->minutes(Phase::Build) < $time->buildMin()) {
            $proposals[] = [
                Text::of($time->isHeldUpByAdults() ? 'plan.timetable.build_needs_for_adults' : 'plan.timetable.build_needs', [
                    'needs' => Figure::minutes($needs), 'planned' => Figure::minutes($plan->minutes(Phase::Build)),
                ]),
                ['phase_build' => $needs],
            ];
        }
        if ($time->isHeldUpByAdults() && $time->adultsEnough() > $time->adults) {
            $proposals[] = [
                Text::of('plan.timetable.more_adults', [
                    'adults' => Text::plural('steps.time.adults', $time->adultsEnough()), 'hands' => Figure::minutes($time->handsMin),
                ]),
                ['adults' => $time->adultsEnough()],
            ];
        }
        if ($time->idleMin > $plan->minutes(Phase::Set)) {
            $sets = (int) ceil($time->idleMin);
            $proposals[] = [Text::of('plan.timetable.setting_needs', ['needs' => Figure::minutes($sets)]), ['phase_set' => $sets]];
        }

        return $proposals;
    }

    /** @return array<string, string|int|float> the timetable as its form has it, by the name of a field */
    public static function typed(ClassPlan $plan): array
    {
        $held = $plan->plan;
        $fields = [
            'starts_at' => $held->starts_at?->format('Y-m-d\TH:i')
                ?? '', 'session_min' => $held->session_min, 'heat_min' => $held->heat_min,
            'tries_again' => $held->tries_again, 'lanes' => $plan->challenge->lanes, 'tries' => $plan->challenge->tries,
            'adults' => $held->adults,
        ];
        foreach (Phase::cases() as $phase) {
            if ($phase !== Phase::Runs && $phase !== Phase::RunsAgain) {
                $fields["phase_{$phase->value}"] = (int) $held->minutes($phase);
            }
        }
        foreach ($held->further_sessions as $number => $session) {
            $fields['session_' . ($number + 2) . '_starts_at'] = $session['starts_at'] ?? '';
            $fields['session_' . ($number + 2) . '_min'] = $session['minutes'];
        }

        return $fields;
    }
}
