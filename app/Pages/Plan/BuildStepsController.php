<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use App\Actions\PrepareSession;
use App\Language\Text;
use App\Models\Challenge;
use App\Models\Group;
use App\Record\ClassPlan;
use App\Record\ClassRecord;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Skivo\Core\Car\Car;

/** How a car is built, step by step: the kit's for the class, and each group's own. */
final class BuildStepsController
{
    public function show(Challenge $challenge): View
    {
        $plan = ClassPlan::of($challenge);

        return view('plan.steps', [
            'challenge' => $challenge,
            'record' => ClassRecord::of($challenge),
            'plan' => $plan,
            'layout' => $plan->kitLayout(),
            'words' => new StepWords($plan->steps(), $plan->kit, $challenge->units),
            'time' => $plan->buildTime(),
        ]);
    }

    public function update(BuildStepsRequest $request, Challenge $challenge, PrepareSession $prepare): RedirectResponse
    {
        $prepare->plan($challenge, $request->plan());

        return redirect()->route('steps.show', $challenge)->with('status', Text::of('steps.done.the_steps_follow'));
    }

    /** The kit's booklet: small pages, two on a side, to fold and lay into each other. */
    public function booklet(Challenge $challenge): View
    {
        $plan = ClassPlan::of($challenge);

        return view('plan.booklet', [
            'challenge' => $challenge,
            'record' => ClassRecord::of($challenge),
            'plan' => $plan,
            'layout' => $plan->kitLayout(),
            'words' => new StepWords($plan->steps(), $plan->kit, $challenge->units),
        ]);
    }

    /** What is printed at full size: chassis, discs, centre finder, and the lane's tape measure. */
    public function templates(Challenge $challenge): View
    {
        $layout = ClassPlan::of($challenge)->kitLayout();

        return view('plan.templates', [
            'challenge' => $challenge,
            'record' => ClassRecord::of($challenge),
            'layout' => $layout,
            'sheets' => TemplateSheet::all($layout, $challenge->units, $challenge->lane_length->quantity->si()),
        ]);
    }

    /** The steps of one group's own car. */
    public function own(Challenge $challenge, Group $group): View
    {
        $plan = ClassPlan::of($challenge);
        $car = $group->currentCar()->choices ?? new Car();

        return view('group.steps', [
            'challenge' => $challenge,
            'record' => ClassRecord::of($challenge),
            'group' => $group,
            'layout' => $plan->layoutOf($car),
            'words' => new StepWords($plan->stepsOfCar($car), $plan->kitOf($car), $challenge->units),
        ]);
    }
}
