<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use App\Actions\PrepareSession;
use App\Language\DesignWords;
use App\Language\Text;
use App\Models\Challenge;
use App\Models\Group;
use App\Record\ClassPlan;
use App\Record\ClassRecord;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Skivo\Core\Car\Build\BuildTask;
use Skivo\Core\Car\Car;

/** How a car is built, step by step: the kit's for the class, and each group's own. */
final class BuildStepsController
{
    public function show(Request $request, Challenge $challenge): View
    {
        $plan = self::plan($request, $challenge);

        return view('plan.steps', [
            'challenge' => $challenge,
            'record' => ClassRecord::of($challenge),
            'plan' => $plan,
            'layout' => $plan->kitLayout(),
            'words' => new StepWords($plan->classSteps(), $challenge->units),
            'time' => $plan->buildTime(),
            'preparable' => array_values(array_filter(
                $plan->steps()->tasks,
                static fn(BuildTask $task): bool => $task->step->pieces() !== null,
            )),
            'builds' => new DesignWords($class = ClassPlan::of($challenge)),
            'isOther' => $class->design->contrast() === null ? null : $request->boolean('other'),
        ]);
    }

    /** Of a class that compares two, the steps of the one or of the other. */
    private static function plan(Request $request, Challenge $challenge): ClassPlan
    {
        $plan = ClassPlan::of($challenge);

        return $plan->design->contrast() === null ? $plan : $plan->ofThe($request->boolean('other'));
    }

    public function update(BuildStepsRequest $request, Challenge $challenge, PrepareSession $prepare): RedirectResponse
    {
        $prepare->plan($challenge, $request->plan());

        return redirect()->route('steps.show', $challenge)->with('status', Text::of('steps.done.the_steps_follow'));
    }

    /** The kit's booklet: small pages, two on a side, to fold and lay into each other. */
    public function booklet(Request $request, Challenge $challenge): View
    {
        $plan = self::plan($request, $challenge);

        return view('plan.booklet', [
            'challenge' => $challenge,
            'record' => ClassRecord::of($challenge),
            'plan' => $plan,
            'layout' => $plan->kitLayout(),
            'words' => new StepWords($plan->classSteps(), $challenge->units),
        ]);
    }

    /** What is printed at full size: chassis, discs, centre finder, and the lane's tape measure. */
    public function templates(Challenge $challenge): View
    {
        $plan = ClassPlan::of($challenge);
        $layout = $plan->kitLayout();
        $other = $plan->design->contrast() === null ? null : $plan->ofThe(true)->kitLayout();

        return view('plan.templates', [
            'challenge' => $challenge,
            'record' => ClassRecord::of($challenge),
            'layout' => $layout,
            'sheets' => TemplateSheet::ofBoth($layout, $other, $challenge->units, $challenge->lane_length->quantity->si()),
        ]);
    }

    /** The steps of one group's own car. */
    public function own(Challenge $challenge, Group $group): View
    {
        $plan = ClassPlan::of($challenge)->forGroup($group);
        $car = $group->currentCar()->choices ?? new Car();

        return view('group.steps', [
            'challenge' => $challenge,
            'record' => ClassRecord::of($challenge),
            'group' => $group,
            'layout' => $plan->layoutOf($car),
            'words' => new StepWords($plan->groupSteps($car), $challenge->units),
        ]);
    }
}
