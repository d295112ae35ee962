<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use App\Language\Figure;
use App\Language\Label;
use App\Language\Text;
use Skivo\Core\Car\Build\BuildStep;
use Skivo\Core\Car\Build\BuildSteps;
use Skivo\Core\Car\Build\BuildTask;
use Skivo\Core\Car\Build\Caution;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Session\Booklet;

/** The steps of a build in words: one sentence each, what it takes, and how one sees that it is done. */
final readonly class StepWords
{
    /** So many steps have room on a small page, below each other. */
    private const ON_A_PAGE = 3;

    /** A booklet has no more pages than this with its cover, and no fewer than that. */
    private const MOST_PAGES = 8;
    private const LEAST_PAGES = 4;

    public function __construct(
        public BuildSteps $steps,
        private UnitSystem $units,
    ) {}

    /** As in "4 Cut two straws of 8.1 cm." without its number. */
    public function say(BuildTask $task): string
    {
        $key = $task->how === '' ? $task->step->value : "{$task->step->value}_{$task->how}";

        return Text::of("steps.say.{$key}", array_map(
            fn(float $m): string => $this->units->show($m, $m < 0.01 ? Scale::Part : Scale::Body),
            $task->lengthsM,
        ));
    }

    /** How one sees that it is done; null where there is nothing to see. */
    public function doneWhen(BuildTask $task): ?string
    {
        $isNeck = $task->how === 'in_brick' || $task->how === 'neck';

        return match (true) {
            $task->step->waits() => null,
            $isNeck => Text::of('steps.done_when.power_on_neck'),
            default => Text::of("steps.done_when.{$task->step->value}"),
        };
    }

    /**
     * What can hurt somebody at it, in a line each, to the child. What holds for all that one cuts or blows up is said once, where it
     * comes first.
     *
     * @return list<string>
     */
    public function cautions(BuildTask $task): array
    {
        $said = [];
        foreach ($this->steps->tasks as $earlier) {
            if ($earlier === $task) {
                break;
            }
            $said = [...$said, ...array_filter($earlier->cautions(), static fn(Caution $each): bool => $each->isSaidOnce())];
        }

        return array_map(
            static fn(Caution $each): string => Label::of($each, 'child'),
            array_values(array_filter($task->cautions(), static fn(Caution $each): bool => !in_array($each, $said, true))),
        );
    }

    /** What else there is to do while it waits. */
    public function meanwhile(BuildTask $task): ?string
    {
        if (!$task->step->waits()) {
            return null;
        }
        $other = $this->steps->meanwhile($task);

        return $other === null
            ? Text::of('steps.nothing_meanwhile')
            : Text::of('steps.meanwhile', ['step' => $this->number($other), 'what' => Label::inside($other->step)]);
    }

    /** As in "4 min". */
    public function minutes(BuildTask $task): string
    {
        return Figure::minutes($task->minutes);
    }

    /** Counted from 1. */
    public function number(BuildTask $task): int
    {
        return 1 + (int) array_search(
            $task->step,
            array_map(static fn(BuildTask $each): BuildStep => $each->step, $this->steps->tasks),
            true,
        );
    }

    /**
     * The steps as they stand in the booklet, page by page after its cover: as few on each as fit into the pages that a booklet has.
     *
     * @return list<list<BuildTask>>
     */
    public function pages(): array
    {
        $steps = $this->steps->tasks;
        $pages = min(self::MOST_PAGES - 1, max(self::LEAST_PAGES - 1, (int) ceil(count($steps) / self::ON_A_PAGE)));
        $each = intdiv(count($steps), $pages);
        $more = count($steps) % $pages;
        $found = [];
        for ($page = $at = 0; $page < $pages; $page++) {
            $count = $each + ($page < $more ? 1 : 0);
            $found[] = array_slice($steps, $at, $count);
            $at += $count;
        }

        return $found;
    }

    /** @return list<array{int|null, int|null}> as Booklet has them */
    public function sides(): array
    {
        return Booklet::sides(max(1, 1 + count($this->pages())));
    }
}
