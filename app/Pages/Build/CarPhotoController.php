<?php

declare(strict_types=1);

namespace App\Pages\Build;

use App\Language\Words;
use App\Models\Challenge;
use App\Models\Device;
use App\Models\Entry;
use App\Models\Group;
use App\Record\ClassRecord;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Measurement\Remark;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Motion\Film\PhotoRule;
use Skivo\Core\Motion\Film\UnreadableFilmException;
use Skivo\Core\Notebook\EntryKind;
use Skivo\Core\Statistics\Estimate;

/** Sizes of a car from a photograph, which stays in the browser: what comes here is how many pixels each is long. */
final class CarPhotoController
{
    /** What can be seen in a photo of a car, and is a length. */
    public const MEASURED = [
        CarAttribute::WheelDiameter, CarAttribute::Wheelbase, CarAttribute::Track, CarAttribute::BalloonSize, CarAttribute::ChassisLength,
        CarAttribute::ChassisWidth, CarAttribute::NozzleHeight,
    ];

    public function show(Request $request, Challenge $challenge, Group $group): View
    {
        return view('build.photo', [
            'challenge' => $challenge,
            'record' => ClassRecord::of($challenge),
            'group' => $group,
            'isOwn' => $request->user() instanceof Device,
            'photos' => $group->entries()->where('kind', EntryKind::Photo)->latest('made_at')->limit(12)->get()
                ->map(static fn(Entry $entry): string => route('path.picture', [$challenge, $group, $entry])),
            'parts' => self::MEASURED,
        ]);
    }

    /** How long each is, with its error; kept nowhere. With it the address of the build sheet that has them filled in. */
    public function measure(CarPhotoRequest $request, Challenge $challenge, Group $group): JsonResponse
    {
        $units = $challenge->units;
        try {
            $rule = PhotoRule::of($request->known(), $request->perScreenPx());
        } catch (UnreadableFilmException $unreadable) {
            return new JsonResponse(['fault' => (new Words($units))->say($unreadable->remark())]);
        }
        $sizes = $fills = [];
        foreach ($request->parts() as [$part, $px]) {
            $length = $rule->length($px);
            $complaint = $length === null ? new Remark('photo.too_short') : $part->complaint($length->value);
            $sizes[] = $length === null || $complaint !== null ? (new Words($units))->say($complaint ?? new Remark('photo.too_short'))
                : self::inWords($length, $part, $units);
            if ($length !== null && $complaint === null) {
                $fills[$part->value] = self::figure($length->value, $part, $units) . ' ' . $units->symbol(self::scale($part));
            }
        }

        return new JsonResponse([
            'sizes' => $sizes,
            'note' => $rule->isAskew ? (new Words($units))->say(new Remark('photo.askew')) : null,
            'sheet' => $fills === [] ? null : route('cars.edit', [$challenge, $group, 'photo' => 1, ...$fills]),
        ]);
    }

    /** ± is half of the 95 % interval. */
    private static function inWords(Estimate $length, CarAttribute $part, UnitSystem $units): string
    {
        $half = ($length->interval()->high - $length->interval()->low) / 2;

        return self::figure(
            $length->value,
            $part,
            $units,
        ) . ' ± ' . self::figure($half, $part, $units) . "\u{00A0}{$units->symbol(self::scale($part))}";
    }

    private static function figure(float $metres, CarAttribute $part, UnitSystem $units): string
    {
        return $units->figure($metres, self::scale($part));
    }

    private static function scale(CarAttribute $part): Scale
    {
        return $part->scale() ?? Scale::Body;
    }
}
