<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use App\Language\Label;
use App\Language\Lists;
use App\Language\Moment;
use App\Language\Text;
use App\Record\ClassPlan;
use Carbon\CarbonImmutable;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Session\Collecting;
use Skivo\Core\Session\Headcount;
use Skivo\Core\Session\Material;
use Skivo\Core\Session\Materials;

/** What a class must have at hand, in words. */
final readonly class MaterialWords
{
    /** What a line of the list is. */
    public static function material(Material $line): string
    {
        $name = $line->ownName ?? Text::of("plan.material.{$line->kind()}", ['part' => $line->part ?? '']);

        return $line->share < 1.0 ? Text::of('design.for_those', ['name' => $name]) : $name;
    }

    /** What is counted of it. */
    public static function unit(Material $line, int $count = 2): string
    {
        return $line->ownName !== null && $line->ownUnit !== null ? $line->ownUnit : trans_choice("plan.unit.{$line->kind()}", $count);
    }

    /** As in "order 2 packs, 12 are over". */
    public static function packs(Material $line, Headcount $class): string
    {
        [$packs, $over] = $line->packs($class) ?? [0, 0];

        return Text::of('plan.materials.order', ['packs' => Text::plural('plan.materials.order_packs', $packs), 'over' => $over]);
    }

    /** How a collection goes, and whether it will be complete in time. */
    public static function collecting(Collecting $collecting, ?CarbonImmutable $by): string
    {
        $on = $collecting->completeOn();
        $day = $on === null ? null : CarbonImmutable::createFromTimestampUTC(86400 * $on);

        return match (true) {
            $collecting->isComplete() => Text::of('plan.collecting.complete'),
            $day === null => Text::of($collecting->perDay() === null ? 'plan.collecting.count_twice' : 'plan.collecting.does_not_grow'),
            $by === null => Text::of('plan.collecting.complete_on', ['day' => Moment::day($day)]),
            $day->lessThanOrEqualTo($by) => Text::of('plan.collecting.in_time', ['day' => Moment::day($day), 'by' => Moment::day($by)]),
            default => Text::of('plan.collecting.late', ['day' => Moment::day($day), 'by' => Moment::day($by)]),
        };
    }

    /** As in "8 groups, 24 learners, 20 % spares". */
    public static function forWhom(Headcount $class, int $sparesPercent): string
    {
        return Text::of('plan.materials.counted_for', [
            'groups' => Text::plural('plan.materials.count_of_groups', $class->groups),
            'learners' => Text::plural('plan.materials.count_of_learners', $class->learners), 'spares' => $sparesPercent,
        ]);
    }

    /** What cars are made of, in one line. */
    public static function madeOf(ClassPlan $plan): string
    {
        $body = [$plan->kit->chassis, $plan->kit->wheels, $plan->kit->bearing];

        return $plan->kit->source->blows()
            ? Text::of('plan.materials.kit_in_a_line', [
                'parts' => ucfirst(Lists::and([...$body, $plan->kit->balloon, $plan->kit->nozzle, $plan->kit->joint], 6)),
                'filled' => Text::of($plan->plan->by_mouth ? 'plan.materials.by_mouth' : 'plan.materials.with_a_pump'),
                'of' => Text::of($plan->plan->latex_free ? 'plan.materials.something_free_of_latex' : 'plan.materials.latex'),
            ])
            : Text::of('plan.materials.driven_kit_in_a_line', [
                'parts' => ucfirst(Lists::and($body, 6)), 'source' => Label::inside($plan->kit->source),
            ]);
    }

    /** @return list<string> what people use instead */
    public static function instead(Material $line): array
    {
        $also = __("plan.instead.{$line->kind()}");

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
}
