<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Build;

use Skivo\Core\Car\Attribute\Step;

/** What is done to build a car, each a page of its own in the booklet. In the order in which most cars are built. */
enum BuildStep: string
{
    case PointsOff = 'points_off';
    case BuildFrame = 'build_frame';
    case CutChassis = 'cut_chassis';
    case FoldChassis = 'fold_chassis';
    case PierceChassis = 'pierce_chassis';
    case MarkAxles = 'mark_axles';
    case CutBearings = 'cut_bearings';
    case CutAxles = 'cut_axles';
    case PierceWheels = 'pierce_wheels';
    case BearingsOn = 'bearings_on';
    case BearingsThrough = 'bearings_through';
    case BearingsSet = 'bearings_set';
    case FirstWheels = 'first_wheels';
    case AxlesThrough = 'axles_through';
    case SecondWheels = 'second_wheels';
    case Roll = 'roll';
    case Decorate = 'decorate';
    case PaintDries = 'paint_dries';
    case CutNozzle = 'cut_nozzle';
    case StretchBalloon = 'stretch_balloon';
    case JoinBalloon = 'join_balloon';
    case JointSets = 'joint_sets';
    case Airtight = 'airtight';
    case PowerOn = 'power_on';
    case Clearance = 'clearance';
    case RubberOnRims = 'rubber_on_rims';
    case FitHook = 'fit_hook';
    case KnotChain = 'knot_chain';
    case HookChain = 'hook_chain';
    case WindOnce = 'wind_once';

    /** The part of the car that it makes: where that is changed, it is done again. */
    public function part(): Step
    {
        return match ($this) {
            self::BuildFrame, self::CutChassis, self::FoldChassis, self::PierceChassis => Step::Chassis,
            self::PointsOff, self::MarkAxles, self::CutBearings, self::CutAxles, self::BearingsOn, self::BearingsThrough,
            self::BearingsSet => Step::Axles,
            self::PierceWheels, self::FirstWheels, self::AxlesThrough, self::SecondWheels, self::Roll, self::RubberOnRims => Step::Wheels,
            self::FitHook, self::KnotChain, self::HookChain, self::WindOnce, self::StretchBalloon, self::JoinBalloon, self::JointSets,
            self::Airtight, self::PowerOn, self::Clearance => Step::Power,
            self::CutNozzle => Step::Nozzle,
            self::Decorate, self::PaintDries => Step::Mass,
        };
    }

    /** Whether it goes on by itself, while hands do something else. */
    public function waits(): bool
    {
        return $this === self::BearingsSet || $this === self::JointSets || $this === self::PaintDries;
    }

    /** For how long (min): of hands where it does not wait. Common practice, no source. */
    public function minutes(): float
    {
        return match ($this) {
            self::PointsOff, self::CutNozzle, self::Roll, self::Airtight, self::Clearance, self::StretchBalloon, self::MarkAxles,
            self::WindOnce => 1.0,
            self::CutChassis, self::FoldChassis, self::CutBearings, self::CutAxles, self::BearingsThrough, self::FirstWheels,
            self::AxlesThrough, self::SecondWheels, self::HookChain => 2.0,
            self::PierceChassis, self::PierceWheels, self::BearingsOn, self::JoinBalloon, self::PowerOn, self::RubberOnRims, self::FitHook,
            self::KnotChain => 4.0,
            self::BuildFrame, self::Decorate => 10.0,
            self::BearingsSet, self::JointSets => Sets::HotGlue->minutes(),
            self::PaintDries => Sets::Paint->minutes(),
        };
    }
}
