<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\PrepareSession;
use App\Http\Requests\CutSizesRequest;
use App\Models\Challenge;
use App\Presenters\Text;
use App\ViewModels\ClassPlan;
use App\ViewModels\ClassRecord;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** To what length bearings, axles and nozzles are cut, and from how many straws and skewers. */
final class CutSizesController
{
    public function show(Challenge $challenge): View
    {
        return view('plan.cuts', ['challenge' => $challenge, 'record' => ClassRecord::of($challenge), 'plan' => ClassPlan::of($challenge)]);
    }

    public function update(CutSizesRequest $request, Challenge $challenge, PrepareSession $prepare): RedirectResponse
    {
        $prepare->plan($challenge, $request->plan());

        return redirect()->route('cuts.show', $challenge)->with('status', Text::of('plan.done.the_sizes_follow'));
    }
}
