<?php

declare(strict_types=1);

namespace App\Wording;

use App\Reading\ClassPlan;
use Skivo\Core\Car\Step;
use Skivo\Core\Challenge\Goal;
use Skivo\Core\Measurement\Scale;
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

    /** @return list<Sentence> */
    public function fit(): array
    {
        $spare = $this->timetable->spareMin();
        $said = [$this->timetable->fits()
            ? new Sentence('It fits,', "with {$this->minutes($spare)} to spare: {$this->minutes($this->timetable->lengthMin)} of {$this->minutes($this->timetable->sessionMin)}.")
            : new Sentence('It does not fit:', "it takes {$this->minutes($this->timetable->lengthMin)}, {$this->minutes(-$spare)} more than there are.")];
        if ($this->timetable->idleMin > 0.0) {
            $said[] = new Sentence('', "{$this->minutes($this->timetable->idleMin)} go by waiting for glue and paint with nothing else to do. Sketching, predicting or gathering could fill them.");
        }
        $between = $this->order->heatsBetweenTries();
        if ($between === 0) {
            $said[] = new Sentence('No time to repair:', 'a group’s next try follows straight after its last one. Fewer lanes, or a pause between the rounds, would give some.');
        } elseif ($between !== null) {
            $said[] = new Sentence('', "Between two tries a group has at least {$this->minutes($between * $this->plan->plan->heat_min)} to repair.");
        }

        return $said;
    }

    public function remedy(Remedy $remedy): string
    {
        $changes = array_filter([
            $remedy->lanes === null ? null : "run on {$remedy->lanes} lanes",
            $remedy->tries === null ? null : ($remedy->tries === 1 ? 'give each group 1 try' : "give each group {$remedy->tries} tries"),
            $remedy->minutesPerHeat === null ? null : "take {$this->minutes($remedy->minutesPerHeat)} for each filling of the lanes",
            $remedy->shorterBuildMin === null ? null : "build for {$this->minutes($remedy->shorterBuildMin)} less",
            $remedy->noSecondRound ? 'leave out the change and the second round' : null,
        ], static fn(?string $change): bool => $change !== null);

        return ucfirst(implode(' and ', $changes)) . ": then it takes {$this->minutes($remedy->lengthMin)}.";
    }

    public function order(): string
    {
        $heats = $this->order->heats();
        $said = Phrase::count($this->order->groups, 'group') . ', ' . Phrase::count($this->order->tries, 'try', 'tries') . ' each: '
            . ($this->order->lanes === 1 ? "{$heats} runs one after the other" : "{$heats} times {$this->order->lanes} lanes are filled")
            . ", {$this->minutes($this->order->minutes($this->plan->plan->heat_min))} in all.";

        return $this->order->lanes === 1 ? $said : "{$said} Lanes change from try to try, so that each group meets each lane equally often, as far as it divides.";
    }

    /** @return list<string> the rules, one a line, for a sheet */
    public function rules(): array
    {
        $challenge = $this->plan->challenge;
        $units = $challenge->units;
        $rules = $challenge->rules();
        $said = ['Each group has ' . ($challenge->tries === 1 ? 'one try' : "{$challenge->tries} tries") . '; ' . match ($challenge->scoring->value) {
            'best' => 'the best one counts.',
            'mean' => 'the mean counts.',
            default => 'the middle one counts.',
        }];
        $said[] = $challenge->push_is_foul ? 'The car must move by itself. A push makes a try void.' : 'A push at the start is allowed.';
        if (!$rules->isFreeDesign()) {
            $free = array_map(static fn(Step $step): string => mb_strtolower($step->label()), $rules->free);
            $said[] = $free === [] ? 'All cars are built alike.' : 'Change only the ' . Lists::and($free, 6) . '; everything else is as in the kit.';
        }
        foreach ([
            [$rules->mostBalloons, 'balloon', 'balloons'], [$rules->mostStraws, 'straw', 'straws'],
        ] as [$most, $one, $many]) {
            if ($most !== null) {
                $said[] = 'At most ' . Phrase::count($most, $one, $many) . '.';
            }
        }
        if ($rules->heaviestKg !== null) {
            $said[] = "A car weighs at most {$units->show($rules->heaviestKg, Scale::Weight)}.";
        }
        if ($rules->longestM !== null) {
            $said[] = "The chassis is at most {$units->show($rules->longestM, Scale::Body)} long.";
        }
        foreach (['chassis' => 'Chassis', 'wheel' => 'Wheels', 'nozzle' => 'Nozzle'] as $kind => $label) {
            if (($rules->allowed[$kind] ?? []) !== []) {
                $said[] = "{$label}: " . implode(', ', $rules->allowed[$kind]) . ' only.';
            }
        }

        return $said;
    }

    /** What a helper writes down at each run. */
    public function toMeasure(): string
    {
        $challenge = $this->plan->challenge;
        $units = $challenge->units;

        return implode(', ', array_filter([
            'where the car stopped (' . $units->symbol(Scale::Distance) . ' from the start line)',
            $challenge->timed_length === null ? null : 'the time over ' . $units->show($challenge->timed_length->quantity->si(), Scale::Lane),
            $challenge->isAfter(Goal::Straightest) ? 'how far off the line it stopped, and to which side' : null,
            $challenge->isAfter(Goal::HeaviestLoad) ? 'the load it carried' : null,
        ], static fn(?string $each): bool => $each !== null));
    }

    private function minutes(float $minutes): string
    {
        return rtrim(rtrim(number_format($minutes, 1), '0'), '.') . "\u{00A0}min";
    }
}
