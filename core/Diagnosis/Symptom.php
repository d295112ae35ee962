<?php

declare(strict_types=1);

namespace Skivo\Core\Diagnosis;

use Skivo\Core\Car\Attribute\EnergySource;
use Skivo\Core\Car\Check\CheckCard;
use Skivo\Core\Car\Check\CheckItem;
use Skivo\Core\Car\Check\CheckVerdict;
use Skivo\Core\Challenge\VoidReason;

/** What is seen when a car does not run as it should. */
enum Symptom: string
{
    case Veers = 'veers';
    case Wobbles = 'wobbles';
    case WheelsStop = 'wheels-stop';
    case Wanders = 'wanders';
    case DoesNotStart = 'does-not-start';
    case Hisses = 'hisses';
    case BalloonOff = 'balloon-off';
    case AirTooSlow = 'air-too-slow';
    case BalloonDrags = 'balloon-drags';
    case WheelOff = 'wheel-off';
    case TipsOver = 'tips-over';
    case PartOff = 'part-off';
    case ShortRun = 'short-run';
    case Bursts = 'bursts';
    case Moist = 'moist';
    case WheelsSpin = 'wheels-spin';
    case BandBrakes = 'band-brakes';
    case BandSlack = 'band-slack';

    /** @return list<self> that may be seen of a car that is driven so */
    public static function of(EnergySource $source): array
    {
        return array_values(array_filter(self::cases(), static fn(self $symptom): bool => match ($symptom) {
            self::Hisses, self::BalloonOff, self::AirTooSlow, self::BalloonDrags, self::Bursts, self::Moist => $source->blows(),
            self::WheelsSpin, self::BandBrakes, self::BandSlack => $source->winds(),
            default => true,
        }));
    }

    public static function ofVoid(VoidReason $reason): ?self
    {
        return match ($reason) {
            VoidReason::NoStart => self::DoesNotStart,
            VoidReason::HitSomething => self::Veers,
            VoidReason::WheelOff => self::WheelOff,
            VoidReason::TippedOver => self::TipsOver,
            VoidReason::PartOff => self::PartOff,
            VoidReason::BalloonOff => self::BalloonOff,
            VoidReason::BandOff => self::BandSlack,
            VoidReason::WheelsSpun => self::WheelsSpin,
            VoidReason::Burst => self::Bursts,
            VoidReason::Pushed => null,
        };
    }

    /**
     * What the items that must be mended will show as.
     *
     * @return list<self>
     */
    public static function ofCard(CheckCard $card): array
    {
        $symptoms = [];
        foreach ($card->with(CheckVerdict::Fix) as $item) {
            $symptom = match ($item) {
                CheckItem::Spin => self::WheelsStop,
                CheckItem::EndPlay => ($card->value($item) ?? 0.0) < 0.001 ? self::WheelsStop : self::Wanders,
                CheckItem::Wobble => self::Wobbles,
                CheckItem::Parallel, CheckItem::Drift => self::Veers,
                CheckItem::Airtight => self::Hisses,
                CheckItem::BalloonClears => self::BalloonDrags,
                CheckItem::NozzleStraight => self::AirTooSlow,
                CheckItem::BandClear, CheckItem::BandFree => self::BandBrakes,
                CheckItem::HookHolds => self::BandSlack,
                CheckItem::WheelsTight => self::WheelOff,
                CheckItem::Firm => self::PartOff,
                CheckItem::Height => self::TipsOver,
                CheckItem::PointsOff => null,
            };
            if ($symptom !== null && !in_array($symptom, $symptoms, true)) {
                $symptoms[] = $symptom;
            }
        }

        return $symptoms;
    }
}
