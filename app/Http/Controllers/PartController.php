<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\PartRequest;
use App\Models\Challenge;
use App\Models\OwnPart;
use App\Reading\ClassRecord;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Facades\DB;

/** The catalogue of parts, and what an educator adds to it for a challenge. */
final class PartController
{
    public function index(Challenge $challenge): View
    {
        return view('what-if.parts', [
            'challenge' => $challenge,
            'record' => ClassRecord::of($challenge),
            'catalogue' => $challenge->catalogue(),
            'own' => $challenge->ownParts()->get(),
        ]);
    }

    public function store(PartRequest $request, Challenge $challenge): RedirectResponse
    {
        $part = DB::transaction(static fn() => $challenge->ownParts()->create($request->part()));

        return redirect()->route('parts.index', $challenge)->with('status', "“{$part->name}” is in the parts list of this challenge.");
    }

    public function destroy(Challenge $challenge, OwnPart $ownPart): RedirectResponse
    {
        DB::transaction(static fn() => $ownPart->delete());

        return redirect()->route('parts.index', $challenge)->with('status', "“{$ownPart->name}” is out of the parts list.");
    }
}
