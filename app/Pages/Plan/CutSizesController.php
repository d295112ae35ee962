<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use App\Actions\PrepareSession;
use App\Language\Text;
use App\Models\Challenge;
use App\Record\ClassPlan;
use App\Record\ClassRecord;
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
