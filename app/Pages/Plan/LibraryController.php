<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use App\Actions\ChangeChallenge;
use App\Language\FactorWords;
use App\Language\Text;
use App\Models\User;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Skivo\Core\Library\LessonPlan;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Measurement\Quantity;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\Unit;
use Skivo\Core\Measurement\UnitSystem;

/** Plans that are ready to be set. */
final class LibraryController
{
    public function show(Request $request): View
    {
        return view('plan.library', ['plans' => LessonPlan::cases(), 'units' => $this->units($request)]);
    }

    public function store(Request $request, LessonPlan $plan, ChangeChallenge $change): RedirectResponse
    {
        /** @var User $user */
        $user = $request->user();
        $units = $this->units($request);
        $name = Text::of("library.plan.{$plan->value}.name");
        $sessions = $plan->sessionsMin();
        $groups = array_map(
            static fn(int $number): string => Text::of('challenge.done.group', ['number' => $number]),
            range(1, $plan->groups()),
        );
        $challenge = $change->set($user, [
            'name' => $name,
            'question' => FactorWords::question($plan->question()),
            'asks' => $plan->question()->attribute,
            'asks_outcome' => $plan->question()->outcome,
            'asks_from' => $plan->question()->from,
            'asks_to' => $plan->question()->to,
            'design' => $plan->design(),
            'design_one' => self::typed($plan, $plan->values()[0], $units),
            'design_other' => self::typed($plan, $plan->values()[1], $units),
            'is_mass_even' => true,
            'age' => $plan->age(),
            'goal' => $plan->goal(),
            'awards' => [$plan->goal()->value],
            'scoring' => $plan->scoring(),
            'tries' => $plan->tries(),
            'units' => $units,
            'lane_length' => self::length($plan->laneM(), $units),
            'timed_length' => $plan->timedM() === null ? null : self::length($plan->timedM(), $units),
            'free_steps' => [$plan->free()->value],
        ], $groups, [
            'groups' => $plan->groups(),
            'session_min' => $sessions[0],
            'tries_again' => $plan->design()->isRebuilt() ? $plan->tries() : 0,
            'further_sessions' => array_map(
                static fn(int $minutes): array => ['starts_at' => null, 'minutes' => $minutes],
                array_slice($sessions, 1),
            ),
        ]);

        return redirect()->route('challenges.edit', $challenge)->with('status', Text::of('library.show.is_set', ['plan' => $name]));
    }

    /** One of the two that are compared, as somebody would type it. */
    private static function typed(LessonPlan $plan, float|string $value, UnitSystem $units): string
    {
        return is_string($value) ? $value : $units->show($value, $plan->question()->attribute->scale() ?? Scale::Body);
    }

    private static function length(float $metres, UnitSystem $units): Entry
    {
        $text = $units->figure($metres, Scale::Lane);

        return new Entry(Quantity::of($text, $units->unit(Scale::Lane) ?? Unit::Metre), "{$text} {$units->symbol(Scale::Lane)}");
    }

    private function units(Request $request): UnitSystem
    {
        /** @var User $user */
        $user = $request->user();

        return $user->challenges()->latest('id')->first()->units ?? UnitSystem::Metric;
    }
}
