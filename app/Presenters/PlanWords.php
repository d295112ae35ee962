<?php

declare(strict_types=1);

namespace App\Presenters;

use App\ViewModels\ClassPlan;
use Skivo\Core\Car\Step;
use Skivo\Core\Challenge\Goal;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Session\Material;
use Skivo\Core\Session\Materials;
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

    /** What a line of the list is. */
    public static function material(Material $line): string
    {
        return $line->ownName ?? (string) __("plan.material.{$line->key}", ['part' => $line->part ?? '']);
    }

    /** What is counted of it. */
    public static function unit(Material $line, int $count = 2): string
    {
        return $line->ownName !== null && $line->ownUnit !== null ? $line->ownUnit : trans_choice("plan.unit.{$line->key}", $count);
    }

    /** @return list<string> what people use instead */
    public static function instead(Material $line): array
    {
        $also = __("plan.instead.{$line->key}");

        return [...$line->alternatives, ...(is_array($also) ? array_values(array_map(strval(...), $also)) : [])];
    }

    /** @return list<array{string, int}> what lies in one group's kit, as its label says: name and number */
    public static function kit(Materials $materials, UnitSystem $units): array
    {
        $contents = array_map(static fn(Material $line): array => [self::material($line), (int) ceil($line->amount)], $materials->inKit());
        foreach ($materials->piecesInKit() as $piece => [$length, $each]) {
            $contents[] = [(string) __("plan.piece.{$piece}", ['length' => $units->show($length, Scale::Body)]), $each];
        }

        return $contents;
    }

    /** @return list<Sentence> */
    public function fit(): array
    {
        $spare = $this->timetable->spareMin();
        $said = [$this->timetable->fits()
            ? new Sentence(
                Text::of('plan.plan_words.it_fits'),
                Text::of(
                    'plan.plan_words.with_to_spare_of',
                    [
                        'spare' => $this->minutes($spare), 'length_min' => $this->minutes($this->timetable->lengthMin), 'session_min' => $this->minutes($this->timetable->sessionMin),
                    ],
                ),
            )
            : new Sentence(
                Text::of('plan.plan_words.it_does_not_fit'),
                Text::of(
                    'plan.plan_words.it_takes_more_than_there_are',
                    ['length_min' => $this->minutes($this->timetable->lengthMin), 'spare' => $this->minutes(-$spare)],
                ),
            )];
        if ($this->timetable->idleMin > 0.0) {
            $said[] = new Sentence(
                '',
                Text::of('plan.plan_words.go_by_waiting_for_glue_and', ['idle_min' => $this->minutes($this->timetable->idleMin)]),
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
                    ['between' => $this->minutes($between * $this->plan->plan->heat_min)],
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
                        ['minutes_per_heat' => $this->minutes($remedy->minutesPerHeat)],
                    ),
                $remedy->shorterBuildMin === null
                    ? null
                    : Text::of('plan.plan_words.build_for_less', ['shorter_build_min' => $this->minutes($remedy->shorterBuildMin)]),
                $remedy->noSecondRound ? Text::of('plan.plan_words.leave_out_the_change_and_the') : null,
            ],
            static fn(?string $change): bool => $change !== null,
        );

        return Text::of(
            'plan.plan_words.then_it_takes',
            ['changes' => ucfirst(Lists::and(array_values($changes))), 'length_min' => $this->minutes($remedy->lengthMin)],
        );
    }

    public function order(): string
    {
        $heats = $this->order->heats();
        $said = Text::of(
            'plan.plan_words.each_in_all',
            [
                'groups' => Text::plural(
                    'plan.plan_words.group_groups',
                    $this->order->groups,
                ),
                'tries' => Text::plural('plan.plan_words.try_tries', $this->order->tries),
                'how' => $this->order->lanes === 1 ? Text::of('plan.plan_words.runs_one_after_the_other', ['heats' => $heats])
                                   : Text::of(
                                       'plan.plan_words.times_lanes_are_filled',
                                       ['heats' => $heats, 'lanes' => $this->order->lanes],
                                   ),
                'time' => $this->minutes($this->order->minutes($this->plan->plan->heat_min)),
            ],
        );

        return $this->order->lanes === 1 ? $said : Text::of('plan.plan_words.lanes_change_from_try_to_try', ['said' => $said]);
    }

    /** @return list<string> the rules, one a line, for a sheet */
    public function rules(): array
    {
        $challenge = $this->plan->challenge;
        $units = $challenge->units;
        $rules = $challenge->rules();
        $said = [Text::of('plan.plan_words.each_group_has', ['tries' => $challenge->tries === 1 ? Text::of('plan.plan_words.one_try') : Text::of('plan.plan_words.tries', ['count' => $challenge->tries]), 'which' => match ($challenge->scoring->value) {
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

    private function minutes(float $minutes): string
    {
        return rtrim(rtrim(number_format($minutes, 1), '0'), '.') . "\u{00A0}" . Text::of('frame.min');
    }
}
