<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Access\Actor;
use App\Actions\ActIsOvertaken;
use App\Actions\UndoAct;
use App\Models\Act;
use App\Models\Challenge;
use App\Wording\ActWords;
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
            $said = 'There is nothing to take back.';
        } else {
            $words = new ActWords($act->load(['run.car.group' => static fn($groups) => $groups->withTrashed(), 'group']), $challenge->units);
            try {
                $undo($act, $by);
                $said = $words->undone();
            } catch (ActIsOvertaken $overtaken) {
                $said = $words->overtaken($overtaken->since);
            }
        }

        return redirect()->route('runs.show', $challenge)->with('status', $said);
    }
}
