<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use App\Language\GoalWords;
use App\Language\Label;
use App\Language\Lists;
use App\Language\Text;
use App\Models\Challenge;
use Skivo\Core\Car\Attribute\Step;
use Skivo\Core\Challenge\Award;
use Skivo\Core\Measurement\Scale;

/** What is set on each line of a plan, before it is opened. */
final readonly class PlanLines
{
    public function __construct(private Challenge $challenge) {}

    public function question(): string
    {
        return Text::of('challenge.line.question', [
            'question' => $this->challenge->asks === null
                ? Text::of('challenge.form.free_design_no_single_question')
                : (string) $this->challenge->question,
            'way' => Text::of("design.name.{$this->challenge->way()->value}"),
        ]);
    }

    public function class(): string
    {
        return Text::of('challenge.line.class', [
            'name' => $this->challenge->name,
            'age' => Text::of('challenge.form.age', ['age' => str_replace('-', ' to ', $this->challenge->age->value)]),
        ]);
    }

    public function goal(): string
    {
        return Lists::and(array_values(array_map(
            fn(Award $award): string => GoalWords::award($award, $this->challenge->units),
            $this->challenge->allAwards(),
        )), 4);
    }

    public function tries(): string
    {
        return Text::plural("challenge.line.tries_{$this->challenge->scoring->value}", $this->challenge->tries);
    }

    public function lane(): string
    {
        return Text::plural('challenge.line.lane', $this->challenge->lanes, [
            'length' => $this->challenge->units->show($this->challenge->lane_length->quantity->si(), Scale::Lane),
            'floor' => (string) $this->challenge->surface,
        ]);
    }

    public function varies(): string
    {
        $free = $this->challenge->rules()->free;
        $free = $this->challenge->free_steps === null ? null : array_map(static fn(Step $step): string => Label::inside($step), $free);
        $limits = array_values(array_filter([
            $this->challenge->most_balloons === null ? null
                : Text::plural('challenge.line.balloons', $this->challenge->most_balloons),
            $this->challenge->heaviest === null ? null : Text::of('challenge.line.heaviest', ['mass' => $this->challenge->heaviest->text]),
            $this->challenge->longest === null ? null : Text::of('challenge.line.longest', ['length' => $this->challenge->longest->text]),
        ]));

        return Text::of($limits === [] ? 'challenge.line.varies' : 'challenge.line.varies_within', [
            'what' => $free === null ? Text::of('challenge.line.everything') : Lists::and($free, 6), 'limits' => Lists::and($limits, 3),
        ]);
    }
}
