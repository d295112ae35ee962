<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use App\Models\Challenge;
use App\Record\ClassPlan;
use App\Record\PlannedAnswer;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Whether the class will get an answer: worked out when it is asked for, since it takes a moment. */
final class PlannedAnswerController
{
    /** A part of the plan's page for its script; for who comes by the link, the page again, which then has it. */
    public function __invoke(Request $request, Challenge $challenge): View|RedirectResponse
    {
        $planned = PlannedAnswer::of(ClassPlan::of($challenge));

        return $request->boolean('part')
            ? view(
                'plan.chance',
                ['challenge' => $challenge, 'words' => $planned === null ? null : new PlannedAnswerWords($planned, $challenge->units)],
            )
            : redirect()->route('challenges.edit', $challenge);
    }
}
