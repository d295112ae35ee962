<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\RecordPrediction;
use App\Http\Requests\PredictionRequest;
use App\Models\Challenge;
use App\Models\Group;
use Illuminate\Http\RedirectResponse;

/** What a group expects of its next try, said before the run. */
final class PredictionController
{
    public function update(PredictionRequest $request, Challenge $challenge, Group $group, RecordPrediction $record): RedirectResponse
    {
        $try = $record($challenge, $group, $request->distance(), $request->has('try') ? $request->integer('try') : null);

        if ($try === null) {
            return redirect()->back()->withInput()->with('status', "Try {$request->integer('try')} has been run meanwhile, so nothing was noted. Say it for the next one.");
        }

        return redirect()->back()->with('status', "{$group->name} expects {$request->distance()->text} of try {$try}.");
    }
}
