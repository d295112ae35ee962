<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\CutSizesRequest;
use App\Models\Challenge;
use App\Reading\ClassPlan;
use App\Reading\ClassRecord;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Facades\DB;

/** To what length bearings, axles and nozzles are cut, and from how many straws and skewers. */
final class CutSizesController
{
    public function show(Challenge $challenge): View
    {
        return view('plan.cuts', ['challenge' => $challenge, 'record' => ClassRecord::of($challenge), 'plan' => ClassPlan::of($challenge)]);
    }

    public function update(CutSizesRequest $request, Challenge $challenge): RedirectResponse
    {
        DB::transaction(static fn() => $challenge->sessionPlan()->fill($request->plan())->save());

        return redirect()->route('cuts.show', $challenge)->with('status', 'The sizes follow.');
    }
}
