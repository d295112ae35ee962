<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Challenge;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\Rule;
use Skivo\Core\Measurement\UnitSystem;

/** Turns a challenge from cm and g to in and oz, or back. What was typed is not touched. */
final class UnitsController
{
    public function update(Request $request, Challenge $challenge): RedirectResponse
    {
        $request->validate(['units' => ['required', Rule::enum(UnitSystem::class)]]);
        DB::transaction(static fn() => $challenge->update(['units' => $request->enum('units', UnitSystem::class)]));

        return redirect()->back(fallback: route('runs.show', $challenge));
    }
}
