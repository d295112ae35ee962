<?php

declare(strict_types=1);

namespace App\Pages\Account;

use App\Actions\ChangeChallenge;
use App\Models\Challenge;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Skivo\Core\Measurement\UnitSystem;

/** Turns a challenge from cm and g to in and oz, or back. What was typed is not touched. */
final class UnitsController
{
    public function update(Request $request, Challenge $challenge, ChangeChallenge $change): RedirectResponse
    {
        $request->validate(['units' => ['required', Rule::enum(UnitSystem::class)]]);
        $change->units($challenge, UnitSystem::from($request->string('units')->toString()));

        return redirect()->back(fallback: route('runs.show', $challenge));
    }
}
