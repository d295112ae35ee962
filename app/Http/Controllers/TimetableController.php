<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\TimetableRequest;
use App\Models\Challenge;
use App\Reading\ClassPlan;
use App\Reading\ClassRecord;
use App\Reading\SessionCalendar;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
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

    public function update(TimetableRequest $request, Challenge $challenge): RedirectResponse
    {
        DB::transaction(static function () use ($request, $challenge): void {
            $challenge->update($request->rulesOfTheChallenge());
            $challenge->sessionPlan()->fill($request->plan())->save();
        });

        return redirect()->route('timetable.show', $challenge)->with('status', 'The timetable follows.');
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
