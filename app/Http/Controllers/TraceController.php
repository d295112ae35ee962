<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\TraceRequest;
use App\Models\Challenge;
use App\Models\Reading;
use App\Models\Run;
use App\Reading\ClassRecord;
use App\Reading\TraceReading;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** The trace of one run: where the car was over time, and what that tells. */
final class TraceController
{
    public function show(Challenge $challenge, Run $run): View
    {
        $run->load('car.group');

        return view('trace.show', [
            'challenge' => $challenge,
            'record' => ClassRecord::of($challenge),
            'run' => $run,
            'trace' => TraceReading::of($challenge, $run),
        ]);
    }

    public function store(TraceRequest $request, Challenge $challenge, Run $run): RedirectResponse
    {
        DB::transaction(static function () use ($request, $challenge, $run): void {
            $reading = new Reading(['id' => (string) Str::uuid7(), 'run_id' => $run->id, 'kind' => 'trace', 'lane' => $run->lane, 'data' => ['points' => $request->points()], 'measured_at' => now()]);
            $challenge->readings()->save($reading);
        });

        return redirect()->route('trace.show', [$challenge, $run])->with('status', 'The trace is with the run.');
    }
}
