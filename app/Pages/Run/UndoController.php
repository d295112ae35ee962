<?php

declare(strict_types=1);

namespace App\Pages\Run;

use App\Access\Actor;
use App\Actions\ActIsOvertakenException;
use App\Actions\UndoAct;
use App\Language\Text;
use App\Models\Act;
use App\Models\Challenge;
use App\Models\Group;
use App\Models\Run;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Takes back an act at the lane: the one that a button names, or else the last one of whoever asks, at this device. */
final class UndoController
{
    public function store(Request $request, Challenge $challenge, UndoAct $undo): RedirectResponse
    {
        $by = Actor::of($request);
        $named = $request->input('act');
        $act = is_numeric($named) ? $challenge->acts()->find((int) $named) : UndoAct::lastOf($challenge, $by);
        if ($act === null) {
            $said = Text::of('run.done.there_is_nothing_to_take_back');
        } elseif (($gone = self::removed($act)) !== null) {
            $said = Text::of('run.done.its_group_is_removed', ['group' => $gone->name]);
        } else {
            $words = new ActWords(
                $act->load(['run.car.group' => static fn($groups) => $groups->withTrashed(), 'group']),
                $challenge->units,
            );
            try {
                $undo($act, $by);
                $said = $words->undone();
            } catch (ActIsOvertakenException $overtaken) {
                $said = $words->overtaken($overtaken->since);
            }
        }

        return redirect()->route('runs.show', $challenge)->with('status', $said);
    }

    /** The group of an act where it has been removed: what it did cannot come back alone. */
    private static function removed(Act $act): ?Group
    {
        return Group::query()->onlyTrashed()
            ->whereKey($act->group_id ?? Run::query()->withTrashed()->find($act->run_id)?->car()->value('group_id'))
            ->first();
    }
}
