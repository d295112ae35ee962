<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ChangeParts;
use App\Http\Requests\PartRequest;
use App\Models\Challenge;
use App\Models\OwnPart;
use App\Presenters\Text;
use App\ViewModels\ClassRecord;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Skivo\Core\Car\Fits;

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
            'fits' => Fits::in($challenge->catalogue()),
        ]);
    }

    public function store(PartRequest $request, Challenge $challenge, ChangeParts $parts): RedirectResponse
    {
        $part = $parts->add($challenge, $request->part());

        return redirect()->route('parts.index', $challenge)->with(
            'status',
            Text::of('what_if.done.is_in_the_parts_list_of', ['part' => $part->name]),
        );
    }

    public function destroy(Challenge $challenge, OwnPart $ownPart, ChangeParts $parts): RedirectResponse
    {
        $parts->remove($ownPart);

        return redirect()->route('parts.index', $challenge)->with(
            'status',
            Text::of('what_if.done.is_out_of_the_parts_list', ['own_part' => $ownPart->name]),
        );
    }
}
