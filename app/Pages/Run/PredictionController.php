<?php

declare(strict_types=1);

namespace App\Pages\Run;

use App\Actions\RecordPrediction;
use App\Language\Text;
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
            return redirect()->back()->withInput()->with(
                'status',
                Text::of('run.done.try_has_been_run_meanwhile_so', ['integer' => $request->integer('try')]),
            );
        }

        return redirect()->back()->with(
            'status',
            Text::of('run.done.expects_of_try', ['group' => $group->name, 'text' => $request->distance()->text, 'try' => $try]),
        );
    }
}
