<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use App\Actions\ChangeChallenge;
use App\Language\Text;
use App\Models\Challenge;
use App\Record\ClassPlan;
use App\Record\ClassRecord;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** The safety sheet, which is read once before a class builds. */
final class SafetyController
{
    public function show(Challenge $challenge): View
    {
        return view(
            'plan.safety',
            ['challenge' => $challenge, 'record' => ClassRecord::of($challenge), 'plan' => ClassPlan::of($challenge)],
        );
    }

    public function update(Challenge $challenge, ChangeChallenge $change): RedirectResponse
    {
        $change->acknowledgeSafety($challenge, ClassPlan::of($challenge)->safety()->cautions());

        return redirect()->route('groups.index', $challenge)->with('status', Text::of('plan.done.build_is_open'));
    }
}
