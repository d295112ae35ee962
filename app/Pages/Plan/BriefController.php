<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use App\Language\DesignWords;
use App\Models\Challenge;
use App\Record\ClassPlan;
use App\Record\ClassRecord;
use Illuminate\Contracts\View\View;

/** What the class and the helpers are told, each on a sheet to print. */
final class BriefController
{
    public function show(Challenge $challenge, string $for): View
    {
        $record = ClassRecord::of($challenge);
        $plan = ClassPlan::of($challenge);

        /** @var view-string $view */
        $view = "plan.brief-{$for}";

        return view($view, [
            'challenge' => $challenge,
            'record' => $record,
            'plan' => $plan,
            'builds' => new DesignWords($plan),
            'order' => $plan->runOrder($record->groups->count()),
            'timetable' => $plan->timetable($record->groups->count()),
        ]);
    }
}
