<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Challenge;
use App\Reading\ClassPlan;
use App\Reading\ClassRecord;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Facades\DB;
use Skivo\Core\Session\Caution;

/** The safety sheet, which is read once before a class builds. */
final class SafetyController
{
    public function show(Challenge $challenge): View
    {
        return view('plan.safety', ['challenge' => $challenge, 'record' => ClassRecord::of($challenge), 'plan' => ClassPlan::of($challenge)]);
    }

    public function update(Challenge $challenge): RedirectResponse
    {
        $cautions = array_map(static fn(Caution $caution): string => $caution->value, ClassPlan::of($challenge)->cautions());
        DB::transaction(static fn() => $challenge->update(['safety_read_at' => now(), 'safety_read' => $cautions]));

        return redirect()->route('groups.index', $challenge)->with('status', 'Build is open.');
    }
}
