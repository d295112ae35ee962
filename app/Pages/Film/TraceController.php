<?php

declare(strict_types=1);

namespace App\Pages\Film;

use App\Actions\RecordReadings;
use App\Language\Text;
use App\Models\Challenge;
use App\Models\Run;
use App\Record\ClassRecord;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** The trace of one run: where the car was over time, and what that tells. */
final class TraceController
{
    public function show(Challenge $challenge, Run $run): View
    {
        $run->load('car.group');

        return view('film.trace', [
            'challenge' => $challenge,
            'record' => ClassRecord::of($challenge),
            'run' => $run,
            'trace' => TraceReading::of($challenge, $run),
        ]);
    }

    public function store(TraceRequest $request, Challenge $challenge, Run $run, RecordReadings $record): RedirectResponse
    {
        $record->trace($challenge, $run, $request->points());

        return redirect()->route('trace.show', [$challenge, $run])->with('status', Text::of('trace.done.the_trace_is_with_the_run'));
    }
}
