<?php

declare(strict_types=1);

namespace App\Pages\Build;

use App\Actions\ChangeParts;
use App\Language\Text;
use App\Models\Challenge;
use App\Models\OwnPart;
use App\Models\User;
use App\Record\ClassRecord;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Skivo\Core\Car\Geometry\Fits;

/** The catalogue of parts, and what an educator adds to it for a challenge. */
final class PartController
{
    public function index(Request $request, Challenge $challenge): View
    {
        /** @var User $user */
        $user = $request->user();
        $own = $challenge->ownParts()->get();

        return view('what-if.parts', [
            'challenge' => $challenge,
            'record' => ClassRecord::of($challenge),
            'catalogue' => $challenge->catalogue(),
            'own' => $own,
            'fits' => Fits::in($challenge->catalogue()),
            // What has its like here already is not offered again.
            'shared' => OwnPart::sharedWith($user)->where('challenge_id', '<>', $challenge->id)->orderBy('kind')->orderBy('name')->get()
                ->reject(
                    static fn(OwnPart $part): bool => $own->contains(
                        static fn(OwnPart $has): bool => $has->kind === $part->kind && $has->name === $part->name,
                    ),
                )
                ->unique(static fn(OwnPart $part): string => "{$part->kind->value} {$part->name}"),
        ]);
    }

    /** A part that a colleague shared with the school, for this class too. */
    public function take(Request $request, Challenge $challenge, int $part, ChangeParts $parts): RedirectResponse
    {
        /** @var User $user */
        $user = $request->user();
        $shared = OwnPart::sharedWith($user)->findOrFail($part);
        $parts->copy($challenge, $shared);

        return redirect()->route('parts.index', $challenge)->with(
            'status',
            Text::of('what_if.done.is_in_the_parts_list_of', ['part' => $shared->name]),
        );
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
