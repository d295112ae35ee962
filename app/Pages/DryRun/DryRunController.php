<?php

declare(strict_types=1);

namespace App\Pages\DryRun;

use App\Access\PageKey;
use App\Language\Sentence;
use App\Language\Text;
use App\Models\Car;
use App\Models\Challenge;
use App\Models\User;
use App\Record\ClassFindings;
use App\Record\ClassRecord;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\URL;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\EnergySource;
use Skivo\Core\Forecast\Prediction;
use Skivo\Core\Forecast\State;
use Skivo\Core\Measurement\OutOfRangeException;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Simulation\Settings;

/** Trying designs before cutting card. Nothing here is stored: the address holds the designs. */
final class DryRunController
{
    public function show(Request $request, Challenge $challenge): View
    {
        $record = ClassRecord::of($challenge);
        $catalogue = $challenge->catalogue();
        $forecast = ClassFindings::of($record)->found->forecast;
        $cars = [];
        foreach ($record->groups as $group) {
            foreach ($group->cars as $car) {
                if (!$car->choices->isEmpty() && !isset($forecast->beyond[$car->id])) {
                    $model = $forecast->models[$car->id];
                    $cars[$car->id] = [$group, $car, $model, $forecast->states[$car->id] ?? $forecast->usual($model->source())];
                }
            }
        }
        $from = $cars[$request->integer('car')] ?? null;

        /** @var User $user */
        $user = $request->user();
        $key = PageKey::of($request->session(), $user);

        $begins = [];
        foreach (EnergySource::cases() as $source) {
            $isFrom = $from !== null && $from[2]->source() === $source;
            $state = $isFrom ? $from[3] : $forecast->usual($source);
            $held = KeptState::keep($challenge, $state);
            $begins[] = [
                Prediction::begin($isFrom ? $from[2]->settings : Settings::of([], $source), $state),
                self::signed('dry-run.run', $challenge, $key, $held),
                self::signed('dry-run.sweep', $challenge, $key, $held),
            ];
        }

        return view('dry-run.show', [
            'challenge' => $challenge,
            'record' => $record,
            'catalogue' => $catalogue,
            'cars' => $cars,
            'from' => $from,
            'designs' => $this->designs($request, $begins, $from === null ? EnergySource::Balloon : $from[2]->source()),
            'sources' => DryRunPage::sources($begins),
        ]);
    }

    public function run(Request $request, UnitSystem $units): JsonResponse
    {
        return $this->answer($units, function () use ($request, $units): array {
            $prediction = Prediction::of(DryRun::read($request->string('d')->toString()), self::state($request));
            $said = (new DryRunWords($units, $prediction))->said();

            $design = (new DryRun($units))->design($prediction);

            return $design + [
                'said' => array_map(self::said(...), $said),
                'side' => view(
                    'dry-run.side',
                    ['layout' => $prediction->settings->layout(), 'jet' => $design['shown']['jet'] ?? ''],
                )->render(),
            ];
        });
    }

    public function sweep(Request $request, UnitSystem $units): JsonResponse
    {
        return $this->answer($units, function () use ($request, $units): array {
            $settings = DryRun::read($request->string('d')->toString());
            $prediction = Prediction::of($settings, self::state($request), false);
            $schools = (new DryRunWords($units, $prediction))->schools();

            return (new DryRun($units))->sweep(
                $prediction,
                $this->sweepable($request->string('x')->toString(), $settings->source) ?? DryRunPage::along($settings->source),
                $this->sweepable($request->string('y')->toString(), $settings->source),
            ) + ['schools' => $schools === null ? null : self::said($schools)];
        });
    }

    /** @return list<string> */
    private static function said(Sentence $sentence): array
    {
        return [$sentence->lead, $sentence->rest, $sentence->small];
    }

    private function sweepable(string $key, EnergySource $source): ?CarAttribute
    {
        $setting = CarAttribute::tryFrom($key);

        return in_array($setting, CarAttribute::swept(), true) && $setting->belongsTo($source) ? $setting : null;
    }

    /**
     * The designs in the address; else the car asked for; else the usual one.
     *
     * @param list<array{Settings, string, string}> $begins where turning begins, by what drives it
     * @param EnergySource $source of the car asked for
     *
     * @return array<string, array<string, float>> by letter, what differs from the usual car, by CarAttribute (SI)
     */
    private function designs(Request $request, array $begins, EnergySource $source): array
    {
        $of = static fn(EnergySource $source): Settings => $begins[(int) array_search($source, EnergySource::cases(), true)][0];
        $designs = [];
        foreach (['a', 'b', 'c'] as $letter) {
            $text = $request->string($letter)->toString();
            if ($request->has($letter)) {
                try {
                    $read = DryRun::read($text);
                    // An address that says nothing of hands and rubber has those that are known here.
                    foreach ([CarAttribute::Workmanship, $read->source->strength()] as $ofHands) {
                        $read = str_contains($text, $ofHands->value) ? $read : $read->with($ofHands, $of($read->source)->get($ofHands));
                    }
                    $designs[$letter] = DryRun::unusual($read);
                } catch (OutOfRangeException|\InvalidArgumentException) {
                    // A design that cannot be is left out; the page opens with what can.
                }
            }
        }

        return isset($designs['a']) ? $designs : ['a' => DryRun::unusual($of($source))] + $designs;
    }

    private static function signed(string $route, Challenge $challenge, string $key, string $state): string
    {
        return URL::temporarySignedRoute(
            $route,
            now()->addDay(),
            ['units' => $challenge->units->value, 'by' => $key, 'state' => $state],
            false,
        );
    }

    /** @throws \InvalidArgumentException where it is not held any more */
    private static function state(Request $request): State
    {
        return KeptState::of($request->string('state')->toString())
            ?? throw new \InvalidArgumentException(Text::of('dry_run.dry_run.the_page_is_too_old'));
    }

    /** @param callable(): array<string, mixed> $compute */
    private function answer(UnitSystem $units, callable $compute): JsonResponse
    {
        try {
            return new JsonResponse($compute());
        } catch (OutOfRangeException $fault) {
            return new JsonResponse(['message' => (new DryRun($units))->complaint($fault)], 422);
        } catch (\InvalidArgumentException $fault) {
            return new JsonResponse(['message' => $fault->getMessage()], 422);
        }
    }
}
