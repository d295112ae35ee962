<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Access\PageKey;
use App\Models\Car;
use App\Models\Challenge;
use App\Models\Group;
use App\Models\User;
use App\Presenters\Sentence;
use App\Presenters\WhatIf;
use App\Presenters\WhatIfWords;
use App\ViewModels\ClassForces;
use App\ViewModels\ClassRecord;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\URL;
use Skivo\Core\Car\CarAttribute;
use Skivo\Core\Measurement\OutOfRangeException;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Simulation\CarModel;
use Skivo\Core\Simulation\Prediction;
use Skivo\Core\Simulation\Settings;

/** Trying designs before cutting card. Nothing here is stored: the address holds the designs. */
final class WhatIfController
{
    public function show(Request $request, Challenge $challenge): View
    {
        $record = ClassRecord::of($challenge);
        $catalogue = $challenge->catalogue();
        $forces = new ClassForces($record);
        $cars = [];
        foreach ($record->groups as $group) {
            foreach ($group->cars as $car) {
                if (!$car->choices->isEmpty() && !isset($forces->beyond[$car->id])) {
                    $cars[$car->id] = [$group, $car, $forces->of($car)->model ?? CarModel::of($car->choices, $catalogue)];
                }
            }
        }
        $from = $cars[$request->integer('car')] ?? null;

        /** @var User $user */
        $user = $request->user();
        $key = PageKey::of($request->session(), $user);

        return view('what-if.show', [
            'challenge' => $challenge,
            'record' => $record,
            'catalogue' => $catalogue,
            'cars' => $cars,
            'from' => $from,
            'designs' => $this->designs($request, $from),
            'run' => self::signed('what-if.run', $challenge, $key),
            'sweep' => self::signed('what-if.sweep', $challenge, $key),
        ]);
    }

    public function run(Request $request, UnitSystem $units): JsonResponse
    {
        return $this->answer($units, function () use ($request, $units): array {
            $prediction = Prediction::of(WhatIf::read($request->string('d')->toString()));
            $said = (new WhatIfWords($units, $prediction))->said();

            $design = (new WhatIf($units))->design($prediction);

            return $design + [
                'said' => array_map(self::said(...), $said),
                'side' => view('what-if.side', ['layout' => $prediction->settings->layout(), 'jet' => $design['shown']['jet']])->render(),
            ];
        });
    }

    public function sweep(Request $request, UnitSystem $units): JsonResponse
    {
        return $this->answer($units, function () use ($request, $units): array {
            $settings = WhatIf::read($request->string('d')->toString());
            $schools = (new WhatIfWords($units, Prediction::of($settings, false)))->schools();

            return (new WhatIf($units))->sweep(
                $settings,
                $this->sweepable($request->string('x')->toString()) ?? CarAttribute::NozzleBore,
                $this->sweepable($request->string('y')->toString()),
            ) + ['schools' => $schools === null ? null : self::said($schools)];
        });
    }

    /** @return list<string> */
    private static function said(Sentence $sentence): array
    {
        return [$sentence->lead, $sentence->rest, $sentence->small];
    }

    private function sweepable(string $key): ?CarAttribute
    {
        $setting = CarAttribute::tryFrom($key);

        return in_array($setting, CarAttribute::swept(), true) ? $setting : null;
    }

    /**
     * The designs in the address; else the car asked for; else the usual one.
     *
     * @param array{Group, Car, CarModel}|null $from
     *
     * @return array<string, array<string, float>> by letter, what differs from the usual car, by CarAttribute (SI)
     */
    private function designs(Request $request, ?array $from): array
    {
        $designs = [];
        foreach (['a', 'b', 'c'] as $letter) {
            $text = $request->string($letter)->toString();
            if ($request->has($letter)) {
                try {
                    $designs[$letter] = WhatIf::read($text)->unusual();
                } catch (OutOfRangeException|\InvalidArgumentException) {
                    // A design that cannot be is left out; the page opens with what can.
                }
            }
        }

        return isset($designs['a']) ? $designs : ['a' => ($from[2]->settings ?? Settings::of([]))->unusual()] + $designs;
    }

    private static function signed(string $route, Challenge $challenge, string $key): string
    {
        return URL::temporarySignedRoute($route, now()->addDay(), ['units' => $challenge->units->value, 'by' => $key], false);
    }

    /** @param callable(): array<string, mixed> $compute */
    private function answer(UnitSystem $units, callable $compute): JsonResponse
    {
        try {
            return new JsonResponse($compute());
        } catch (OutOfRangeException $fault) {
            return new JsonResponse(['message' => (new WhatIf($units))->complaint($fault)], 422);
        } catch (\InvalidArgumentException $fault) {
            return new JsonResponse(['message' => $fault->getMessage()], 422);
        }
    }
}
