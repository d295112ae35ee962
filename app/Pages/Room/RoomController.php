<?php

declare(strict_types=1);

namespace App\Pages\Room;

use App\Actions\LeadClass;
use App\Language\Text;
use App\Models\Challenge;
use App\Models\Device;
use App\Models\Entry;
use App\Models\Group;
use App\Record\ClassRecord;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Skivo\Core\Notebook\Station;

/** The educator's view of all groups on their path, and what is done for all of them. */
final class RoomController
{
    public function show(Challenge $challenge): View
    {
        $record = ClassRecord::of($challenge);

        return view('room.show', ['challenge' => $challenge, 'record' => $record, 'room' => Room::of($record)]);
    }

    public function stations(Request $request, Challenge $challenge, LeadClass $class): RedirectResponse
    {
        // What is ticked is open.
        $class->closeStations(
            $challenge,
            array_values(array_filter(Station::cases(), static fn(Station $station): bool => !$request->boolean("open_{$station->value}"))),
        );

        return redirect()->route('room.show', $challenge)->with('status', Text::of('room.done.stations'));
    }

    public function word(Request $request, Challenge $challenge, LeadClass $class): RedirectResponse
    {
        $request->validate(['word' => ['nullable', 'string', 'max:200']], ['word.*' => Text::of('room.form.word_is_too_long')]);
        $class->say($challenge, $request->filled('word') ? $request->string('word')->toString() : null);

        return redirect()->route('room.show', $challenge)->with(
            'status',
            Text::of($request->filled('word') ? 'room.done.said' : 'room.done.taken_back'),
        );
    }

    public function closing(Request $request, Challenge $challenge, LeadClass $class): RedirectResponse
    {
        $class->openClosingRound($challenge, $request->boolean('open'));

        return redirect()->route('room.show', $challenge)->with('status', Text::of('room.done.closing'));
    }

    public function helped(Challenge $challenge, Group $group, LeadClass $class): RedirectResponse
    {
        $class->helped($group);

        return redirect()->route('room.show', $challenge)->with('status', Text::of('room.done.helped', ['group' => $group->name]));
    }

    /** Hides something in a notebook, or says that it may be shown. */
    public function look(Request $request, Challenge $challenge, Entry $entry, LeadClass $class): RedirectResponse
    {
        abort_unless($entry->group->challenge_id === $challenge->id, 404);
        $class->look($entry, $request->boolean('shown'));

        return redirect()->back()->with('status', Text::of($request->boolean('shown') ? 'room.done.shown' : 'room.done.hidden'));
    }

    public function letIn(Challenge $challenge, Device $device, LeadClass $class): RedirectResponse
    {
        $class->letIn($device);

        return redirect()->route('room.show', $challenge)->with(
            'status',
            Text::of('room.done.let_in', ['group' => $device->group->name ?? '']),
        );
    }
}
