<?php

declare(strict_types=1);

namespace App\Pages\Group;

use App\Actions\AddGroups;
use App\Actions\ChangeGroup;
use App\Actions\LeadClass;
use App\Actions\RecordCar;
use App\Forms\GroupRequest;
use App\Language\PathWords;
use App\Language\Text;
use App\Models\Challenge;
use App\Models\Device;
use App\Models\Group;
use App\Models\User;
use App\Pages\Findings\AnswerReading;
use App\Pages\Findings\FindingWords;
use App\Pages\Run\Floor;
use App\Record\AskedChange;
use App\Record\ClassFindings;
use App\Record\ClassPlan;
use App\Record\ClassRecord;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Skivo\Core\Notebook\Station;

/** What a group's own tablet shows: its car and its runs. */
final class OwnGroupController
{
    public function show(Request $request, Challenge $challenge, Group $group, LeadClass $class): View
    {
        if ($request->user() instanceof Device && !$request->hasHeader('X-Beside')) {
            $class->arrive($group, Station::Run);
        }
        $record = ClassRecord::of($challenge)->withRuns();
        $own = $record->groups->firstWhere('id', $group->id) ?? $group;
        $car = $own->currentCar();

        return view('group.own', [
            'challenge' => $challenge,
            'record' => $record,
            'floor' => $floor = new Floor($record),
            'own' => $path = new GroupsOwnPath($record, $own, ClassPlan::of($challenge)->forGroup($own)),
            'before' => $path->carsBefore($floor),
            'words' => new PathWords($challenge->age),
            'group' => $own,
            'expected' => $car?->predictions()->where('try', $record->tries($car)->next())->first(),
        ]);
    }

    /** A group gives itself its name. */
    public function rename(GroupRequest $request, Challenge $challenge, Group $group, ChangeGroup $change): RedirectResponse
    {
        $change->rename($group, $request->string('name')->toString(), $group->mark);

        return redirect()->route('groups.own', [$challenge, $group])->with(
            'status',
            Text::of('device.group.you_are', ['group' => $group->name]),
        );
    }

    /** The change that it was asked for is made: its next car, with nothing else changed. */
    public function changed(Request $request, Challenge $challenge, Group $group, RecordCar $recordCar): RedirectResponse
    {
        $record = ClassRecord::of($challenge);
        $own = $record->groups->firstWhere('id', $group->id) ?? $group;
        $asked = AskedChange::of($record, $own, ClassPlan::of($challenge)->design);
        $car = $own->currentCar();
        if ($asked === null || $car === null) {
            return redirect()->route('path.show', [$challenge, $group, Station::Change])->with('status', Text::of('design.asked.none'));
        }
        /** @var User|Device $by */
        $by = $request->user();
        $recordCar($group, $asked->on($car->choices), true, null, $by, RecordCar::edition($car));

        return redirect()->route('path.show', [$challenge, $group, Station::Build])->with('status', Text::of('design.asked.is_made'));
    }

    /** One more car of a group, by a name of its own. */
    public function addCar(FurtherCarRequest $request, Challenge $challenge, Group $group, AddGroups $add): RedirectResponse
    {
        [$car] = $add($challenge, [$request->carName()]);

        return redirect()->back(fallback: route('groups.own', [$challenge, $car]))->with(
            'status',
            Text::of('device.group.car_added', ['car' => $car->name]),
        );
    }

    /** Which of a group's cars counts for awards. */
    public function nominate(Challenge $challenge, Group $group, ChangeGroup $change): RedirectResponse
    {
        $change->nominate($group);

        return redirect()->back(fallback: route('groups.own', [$challenge, $group]))->with(
            'status',
            Text::of('device.group.car_counts', ['car' => $group->name]),
        );
    }

    /** The answer to the class's question, once the educator tells it. */
    public function answer(Challenge $challenge, Group $group): View
    {
        $record = ClassRecord::of($challenge);

        return view('group.answer', [
            'challenge' => $challenge, 'record' => $record, 'group' => $group,
            'reading' => new AnswerReading($record, ClassFindings::of($record)),
        ]);
    }

    /** Why the group's car stopped where it did, of every version of it that ran. */
    public function why(Challenge $challenge, Group $group): View
    {
        $record = ClassRecord::of($challenge);
        $findings = ClassFindings::of($record);

        return view('group.own-why', [
            'challenge' => $challenge, 'record' => $record, 'group' => $group, 'works' => $findings->worksOf($group),
            'words' => new FindingWords($record, $findings),
        ]);
    }
}
