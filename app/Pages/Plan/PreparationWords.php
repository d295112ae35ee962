<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use App\Language\Figure;
use App\Language\Lists;
use App\Language\Text;
use App\Record\ClassPlan;
use Skivo\Core\Car\Build\BuildStep;
use Skivo\Core\Car\Build\BuildTask;
use Skivo\Core\Car\Build\Caution;
use Skivo\Core\Session\Preparation;

/** What adults do before a class comes, in words. */
final readonly class PreparationWords
{
    /** As in "36 holes in the wheels". */
    public static function pieces(BuildStep $step, int $count): string
    {
        return Text::plural("steps.prepared.pieces.{$step->value}", $count);
    }

    /**
     * As in "36 holes in the wheels and 18 axles cut: about 54 min; 2 helpers together: 30 min."
     *
     * @param list<ClassPlan> $plans
     */
    public static function inALine(array $plans): string
    {
        $prepared = array_map(static fn(ClassPlan $plan): Preparation => $plan->preparation(), $plans);
        $pieces = array_merge(...array_map(
            static fn(Preparation $each): array => array_map(
                static fn(BuildTask $task): string => self::pieces($task->step, $each->pieces($task)),
                $each->tasks,
            ),
            $prepared,
        ));
        if ($pieces === []) {
            return Text::of('steps.prepared.nothing');
        }
        $helpers = $prepared[0]->helpers;

        return Text::of($helpers > 1 ? 'steps.prepared.together' : 'steps.prepared.in_a_line', [
            'pieces' => ucfirst(Lists::and(array_values(array_unique($pieces)), 20)),
            'time' => Figure::minutes(array_sum(array_map(static fn(Preparation $each): float => $each->minutes(), $prepared))),
            'helpers' => Text::plural('steps.prepared.count_of_helpers', $helpers),
            'shared' => Figure::minutes(array_sum(array_map(static fn(Preparation $each): float => $each->minutesTogether(), $prepared))),
        ]);
    }

    /**
     * @param list<ClassPlan> $plans
     *
     * @return list<Caution> what can hurt whoever prepares
     */
    public static function cautions(array $plans): array
    {
        $called = [];
        foreach ($plans as $plan) {
            foreach ($plan->preparation()->tasks as $task) {
                $called = [...$called, ...$task->cautions()];
            }
        }

        return array_values(array_filter(Caution::cases(), static fn(Caution $each): bool => in_array($each, $called, true)));
    }

    /** What lies in one kit done already, as its label says; null where nothing does. */
    public static function onTheLabel(ClassPlan $plan): ?string
    {
        $prepared = $plan->preparation();

        return $prepared->isEmpty() ? null : Text::of('steps.prepared.label', ['what' => Lists::and(array_map(
            static fn(BuildTask $task): string => self::pieces($task->step, $task->step->pieces() ?? 1),
            $prepared->tasks,
        ), 20)]);
    }
}
