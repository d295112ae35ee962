<?php

declare(strict_types=1);

namespace App\Pages\Build;

use App\Actions\ChangeParts;
use App\Actions\MergeNames;
use App\Language\Text;
use App\Models\Challenge;
use App\Models\OwnPart;
use App\Models\User;
use App\Record\ClassRecord;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Geometry\Fits;
use Skivo\Core\Challenge\Limits;

/** The catalogue of parts, and what an educator adds to it for a challenge. */
final class PartController
{
    public function index(Request $request, Challenge $challenge): View
    {
        /** @var User $user */
        $user = $request->user();
        $own = $challenge->ownParts()->get();

        return view('dry-run.parts', [
            'challenge' => $challenge,
            'record' => $record = ClassRecord::of($challenge),
            'names' => NamesInUse::of($challenge, $record)->rows,
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
            Text::of('dry_run.done.is_in_the_parts_list_of', ['part' => $shared->name]),
        );
    }

    public function store(PartRequest $request, Challenge $challenge, ChangeParts $parts): RedirectResponse
    {
        $part = $parts->add($challenge, $request->part());

        return redirect()->route('parts.index', $challenge)->with(
            'status',
            Text::of('dry_run.done.is_in_the_parts_list_of', ['part' => $part->name]),
        );
    }

    /** One name for what is called by two. */
    public function merge(Request $request, Challenge $challenge, MergeNames $merge): RedirectResponse
    {
        $names = $request->validate([
            'attribute' => ['required', Rule::enum(CarAttribute::class)],
            'from' => ['required', 'string', 'max:' . Limits::KIND_CHARACTERS],
            'to' => ['required', 'string', 'max:' . Limits::KIND_CHARACTERS, 'different:from'],
        ], ['*' => Text::of('dry_run.names.choose')]);
        /** @var User $user */
        $user = $request->user();
        $cars = $merge($challenge, CarAttribute::from($names['attribute']), $names['from'], $names['to'], $user);

        return redirect()->to(route('parts.index', $challenge) . '#names')
            ->with('status', Text::plural('dry_run.names.merged', count($cars), ['from' => $names['from'], 'to' => $names['to']]))
            ->with('putBack', route('parts.unmerge', [$challenge, 'cars' => implode(',', $cars)] + $names));
    }

    /** Takes it back, on the cars on which it was done. */
    public function unmerge(Request $request, Challenge $challenge, MergeNames $merge): RedirectResponse
    {
        $attribute = $request->enum('attribute', CarAttribute::class);
        if ($attribute === null) {
            return redirect()->route('parts.index', $challenge);
        }
        [$from, $to] = [$request->string('from')->toString(), $request->string('to')->toString()];
        $only = array_values(array_map(intval(...), explode(',', $request->string('cars')->toString())));
        /** @var User $user */
        $user = $request->user();
        $merge($challenge, $attribute, $to, $from, $user, $only);

        return redirect()->to(route('parts.index', $challenge) . '#names')
            ->with('status', Text::of('dry_run.names.back', ['from' => $from]));
    }

    public function destroy(Challenge $challenge, OwnPart $ownPart, ChangeParts $parts): RedirectResponse
    {
        $parts->remove($ownPart);

        return redirect()->route('parts.index', $challenge)->with(
            'status',
            Text::of('dry_run.done.is_out_of_the_parts_list', ['own_part' => $ownPart->name]),
        );
    }
}
