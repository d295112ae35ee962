<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ChangeGroup;
use App\Http\Requests\GroupRequest;
use App\Models\Challenge;
use App\Models\Group;
use App\Presenters\FindingWords;
use App\Presenters\Text;
use App\ViewModels\AnswerReading;
use App\ViewModels\ClassFindings;
use App\ViewModels\ClassRecord;
use App\ViewModels\Floor;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** What a group's own tablet shows: its car and its runs. */
final class OwnGroupController
{
    public function show(Challenge $challenge, Group $group): View
    {
        $record = ClassRecord::of($challenge)->withRuns();
        $own = $record->groups->firstWhere('id', $group->id) ?? $group;
        $car = $own->currentCar();

        return view('devices.group', [
            'challenge' => $challenge,
            'record' => $record,
            'floor' => new Floor($record),
            'group' => $own,
            'expected' => $car?->predictions()->where('try', $record->tries($car)->next())->first(),
        ]);
    }

    /** A group gives itself its name. */
    public function rename(GroupRequest $request, Challenge $challenge, Group $group, ChangeGroup $change): RedirectResponse
    {
        $change->rename($group, $request->string('name')->toString(), $group->mark);

        return redirect()->route('groups.own', [$challenge, $group])->with('status', Text::of('device.group.you_are', ['group' => $group->name]));
    }

    /** The answer to the class's question, once the educator tells it. */
    public function answer(Challenge $challenge, Group $group): View
    {
        $record = ClassRecord::of($challenge);

        return view('devices.answer', [
            'challenge' => $challenge, 'record' => $record, 'group' => $group,
            'reading' => new AnswerReading($record, ClassFindings::of($record)),
        ]);
    }

    /** Why the group's car stopped where it did, of every version of it that ran. */
    public function why(Challenge $challenge, Group $group): View
    {
        $record = ClassRecord::of($challenge);
        $findings = ClassFindings::of($record);

        return view('devices.why', [
            'challenge' => $challenge, 'record' => $record, 'group' => $group, 'works' => $findings->worksOf($group),
            'words' => new FindingWords($record, $findings),
        ]);
    }
}
