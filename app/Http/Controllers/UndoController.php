<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\UndoLast;
use App\Models\Challenge;
use App\Models\Device;
use App\Models\User;
use App\Wording\RunWords;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Takes back what was last done to the runs of a challenge. */
final class UndoController
{
    public function store(Request $request, Challenge $challenge, UndoLast $undo): RedirectResponse
    {
        /** @var User|Device $by */
        $by = $request->user();

        $undone = $undo($challenge, $by);
        $said = $undone === null ? 'There is nothing to take back.' : ['undone' => 'Taken back', 'restored' => 'Back on record', 'edited' => 'As it was before'][$undone[0]]
            . ': ' . RunWords::summary($undone[1]->load('car.group'), $challenge->units) . '.';

        return redirect()->route('runs.show', $challenge)->with('status', $said);
    }
}
