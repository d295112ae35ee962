<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use App\Actions\PrepareSession;
use App\Language\Text;
use App\Models\Challenge;
use App\Record\ClassPlan;
use App\Record\ClassRecord;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Str;

/** When what happens in a session, and who runs when on which lane. */
final class TimetableController
{
    public function show(Challenge $challenge): View
    {
        $record = ClassRecord::of($challenge);
        $plan = ClassPlan::of($challenge);

        return view('plan.timetable', [
            'challenge' => $challenge,
            'record' => $record,
            'plan' => $plan,
            'order' => $plan->runOrder($record->groups->count()),
            'timetable' => $plan->timetable($record->groups->count()),
        ]);
    }

    public function update(TimetableRequest $request, Challenge $challenge, PrepareSession $prepare): RedirectResponse
    {
        $prepare->plan($challenge, $request->plan(), $request->rulesOfTheChallenge());

        return redirect()->route('timetable.show', $challenge)->with('status', Text::of('plan.done.the_timetable_follows'));
    }

    public function calendar(Challenge $challenge): Response
    {
        $name = Str::slug($challenge->name) ?: 'challenge';

        return response(SessionCalendar::of(ClassPlan::of($challenge), $challenge->groups()->count()), 200, [
            'Content-Type' => 'text/calendar; charset=utf-8',
            'Content-Disposition' => "attachment; filename=\"{$name}.ics\"",
        ]);
    }
}
