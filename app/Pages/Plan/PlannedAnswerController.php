<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use App\Models\Challenge;
use App\Models\Plan;
use App\Models\User;
use App\Record\ClassPlan;
use App\Record\PlannedAnswer;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Challenge\Design;
use Skivo\Core\Challenge\Limits;
use Skivo\Core\Findings\Outcome;
use Skivo\Core\Measurement\UnitSystem;

/** Whether a class will get an answer: worked out when it is asked for, since it takes a moment. */
final class PlannedAnswerController
{
    /** A part of the plan's page for its script; for who comes by the link, the page again, which then has it. */
    public function show(Request $request, Challenge $challenge): View|RedirectResponse
    {
        $planned = PlannedAnswer::whole(ClassPlan::of($challenge));

        return $request->boolean('part')
            ? view(
                'plan.chance',
                ['challenge' => $challenge, 'words' => $planned === null ? null : new PlannedAnswerWords($planned, $challenge->units)],
            )
            : redirect()->route('challenges.edit', $challenge);
    }

    /** By each design, for a challenge that is planned already: so many slices of its simulated classes. */
    public function designs(Request $request, Challenge $challenge): JsonResponse
    {
        return $this->said($request, (clone $challenge)->setRelation('plan', $challenge->sessionPlan()));
    }

    /** The same for one that is only being set, as far as it is filled in. */
    public function sketch(Request $request): JsonResponse
    {
        /** @var User $user */
        $user = $request->user();
        $units = $request->enum('units', UnitSystem::class) ?? UnitSystem::Metric;
        $challenge = (new Challenge(['units' => $units, 'is_mass_even' => true]))->setRelation('user', $user);
        $groups = min(Limits::MOST_GROUPS, max(1, $request->integer('groups', 8)));

        return $this->said($request, $challenge->setRelation('plan', (new Plan())->fill(['groups' => $groups])));
    }

    private function said(Request $request, Challenge $challenge): JsonResponse
    {
        $text = static fn(string $field): ?string => is_string($typed = $request->query($field)) && trim($typed) !== ''
            ? mb_substr(trim($typed), 0, 80)
            : null;
        $challenge->fill([
            'design' => $request->enum('way', Design::class) ?? Design::Free,
            'asks' => $request->enum('asks', CarAttribute::class),
            'asks_outcome' => $request->enum('asks_outcome', Outcome::class) ?? Outcome::Distance,
            'asks_from' => $text('asks_from'),
            'asks_to' => $text('asks_to'),
            'design_one' => $text('design_one'),
            'design_other' => $text('design_other'),
            'tries' => min(Limits::MOST_TRIES, max(1, $request->integer('tries', 3))),
        ]);
        $planned = PlannedAnswer::of(ClassPlan::of($challenge), max(1, $request->integer('slices', 1)));
        $words = $planned === null ? null : new PlannedAnswerWords($planned, $challenge->units);

        return response()->json([
            'said' => $words?->short(),
            'progress' => $words?->progress(),
            'two' => $planned === null ? null : $words?->compared(),
        ]);
    }
}
