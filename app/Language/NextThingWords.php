<?php

declare(strict_types=1);

namespace App\Language;

use App\Models\Challenge;
use App\Record\NextStep;
use App\Record\NextThing;

/** What an educator may do next, in a sentence, and where. */
final readonly class NextThingWords
{
    public string $said;

    /** The name of the route. */
    public string $page;

    public function __construct(NextThing $next)
    {
        $this->said = Text::plural(
            "frame.next.{$next->step->value}",
            max(1, $next->count),
            ['group' => $next->group, 'of' => $next->of],
        );
        $this->page = match ($next->step) {
            NextStep::AllowTablet, NextStep::HelpGroup => 'room.show',
            NextStep::ReadSafety, NextStep::ReadNewCautions => 'safety.show',
            NextStep::AddGroups => 'groups.index',
            NextStep::RecordCars => 'cars.all',
            NextStep::CheckCars => 'checks.index',
            NextStep::RunTries => 'runs.show',
            NextStep::SeeAnswer => 'findings.show',
            NextStep::PrintReport => 'report.show',
        };
    }

    public function address(Challenge $challenge): string
    {
        return route($this->page, $challenge);
    }
}
