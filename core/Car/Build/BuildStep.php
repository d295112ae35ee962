<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Build;

use Skivo\Core\Car\Attribute\Step;

/** What is done to build a car, each a page of its own in the booklet. In the order in which most cars are built. */
enum BuildStep: string
{
    case PointsOff = 'points_off';
    case LabelOff = 'label_off';
    case BuildFrame = 'build_frame';
    case CutChassis = 'cut_chassis';
    case SnapStick = 'snap_stick';
    case FoldChassis = 'fold_chassis';
    case OpenBody = 'open_body';
    case Reinforce = 'reinforce';
    case BodyDries = 'body_dries';
    case MarkAxles = 'mark_axles';
    case PierceChassis = 'pierce_chassis';
    case CutBearings = 'cut_bearings';
    case CutAxles = 'cut_axles';
    case MiddlePieces = 'middle_pieces';
    case MiddlesSet = 'middles_set';
    case PierceWheels = 'pierce_wheels';
    case LastPointOff = 'last_point_off';
    case CutHubs = 'cut_hubs';
    case HubsIn = 'hubs_in';
    case BearingsOn = 'bearings_on';
    case BearingsThrough = 'bearings_through';
    case BearingsSet = 'bearings_set';
    case AxlesOn = 'axles_on';
    case FirstWheels = 'first_wheels';
    case FirstWheelsSet = 'first_wheels_set';
    case AxlesThrough = 'axles_through';
    case SecondWheels = 'second_wheels';
    case WheelsOn = 'wheels_on';
    case HoldWheels = 'hold_wheels';
    case WheelsSet = 'wheels_set';
    case Roll = 'roll';
    case RubberOnRims = 'rubber_on_rims';
    case Decorate = 'decorate';
    case PaintDries = 'paint_dries';
    case TopPlate = 'top_plate';
    case Post = 'post';
    case CutNozzle = 'cut_nozzle';
    case Bundle = 'bundle';
    case NestTubes = 'nest_tubes';
    case CutLip = 'cut_lip';
    case StretchBalloon = 'stretch_balloon';
    case TubeOn = 'tube_on';
    case JoinBalloon = 'join_balloon';
    case JointSets = 'joint_sets';
    case Airtight = 'airtight';
    case PowerOn = 'power_on';
    case Clearance = 'clearance';
    case FitHook = 'fit_hook';
    case CutSlot = 'cut_slot';
    case KnotChain = 'knot_chain';
    case HookChain = 'hook_chain';
    case WindOnce = 'wind_once';

    /** The part of the car that it makes: where that is changed, it is done again. */
    public function part(): Step
    {
        return match ($this) {
            self::LabelOff, self::BuildFrame, self::CutChassis, self::SnapStick, self::FoldChassis, self::OpenBody, self::Reinforce,
            self::BodyDries, self::PierceChassis => Step::Chassis,
            self::PointsOff, self::MarkAxles, self::CutBearings, self::CutAxles, self::BearingsOn, self::BearingsThrough,
            self::BearingsSet, self::AxlesOn, self::LastPointOff => Step::Axles,
            self::MiddlePieces, self::MiddlesSet, self::PierceWheels, self::CutHubs, self::HubsIn, self::FirstWheels,
            self::FirstWheelsSet, self::AxlesThrough, self::SecondWheels, self::WheelsOn, self::HoldWheels, self::WheelsSet, self::Roll,
            self::RubberOnRims => Step::Wheels,
            self::FitHook, self::CutSlot, self::KnotChain, self::HookChain, self::WindOnce, self::CutLip, self::StretchBalloon,
            self::TubeOn, self::JoinBalloon, self::JointSets, self::Airtight, self::TopPlate, self::Post, self::PowerOn,
            self::Clearance => Step::Power,
            self::CutNozzle, self::Bundle, self::NestTubes => Step::Nozzle,
            self::Decorate, self::PaintDries => Step::Mass,
        };
    }

    /** Whether it goes on by itself, while hands do something else. */
    public function waits(): bool
    {
        return match ($this) {
            self::BodyDries, self::MiddlesSet, self::BearingsSet, self::FirstWheelsSet, self::WheelsSet, self::JointSets,
            self::PaintDries => true,
            default => false,
        };
    }

    /** For how long (min): of hands where it does not wait. Common practice, no source. */
    public function minutes(): float
    {
        return match ($this) {
            self::PointsOff, self::CutNozzle, self::Roll, self::Airtight, self::Clearance, self::StretchBalloon, self::MarkAxles,
            self::WindOnce, self::LastPointOff, self::CutLip, self::SnapStick, self::CutSlot => 1.0,
            self::LabelOff, self::CutChassis, self::FoldChassis, self::CutBearings, self::CutAxles, self::BearingsThrough,
            self::FirstWheels, self::AxlesThrough, self::SecondWheels, self::HookChain, self::CutHubs, self::WheelsOn, self::TubeOn,
            self::Reinforce => 2.0,
            self::OpenBody, self::NestTubes, self::Post, self::TopPlate => 3.0,
            self::PierceChassis, self::PierceWheels, self::BearingsOn, self::JoinBalloon, self::PowerOn, self::RubberOnRims, self::FitHook,
            self::KnotChain, self::AxlesOn, self::HubsIn, self::HoldWheels, self::Bundle => 4.0,
            self::MiddlePieces => 6.0,
            self::BuildFrame, self::Decorate => 10.0,
            self::MiddlesSet, self::BearingsSet, self::FirstWheelsSet, self::WheelsSet, self::JointSets => Sets::HotGlue->minutes(),
            self::BodyDries => Sets::CraftGlue->minutes(),
            self::PaintDries => Sets::Paint->minutes(),
        };
    }

    /**
     * How many pieces of it one car has, where it can be done for a whole class before it comes; null where it is a child's to do, or
     * can only be done on the car.
     */
    public function pieces(): ?int
    {
        return match ($this) {
            self::PierceWheels, self::MiddlePieces, self::CutHubs, self::PierceChassis => 4,
            self::PointsOff, self::CutBearings, self::CutAxles => 2,
            self::LabelOff, self::CutChassis, self::SnapStick, self::FoldChassis, self::OpenBody, self::CutNozzle, self::CutLip,
            self::FitHook, self::CutSlot, self::LastPointOff, self::BuildFrame => 1,
            default => null,
        };
    }

    /** @return list<Supply> what it takes beside its tool and the parts of the car */
    public function supplies(): array
    {
        return match ($this) {
            self::MiddlePieces, self::TopPlate, self::Post => [Supply::Card],
            self::CutHubs => [Supply::StrawPieces],
            self::FitHook => [Supply::PaperClips, Supply::Tape],
            self::KnotChain => [Supply::DriveBands],
            self::RubberOnRims => [Supply::ElasticBands],
            self::Bundle, self::NestTubes => [Supply::Tape],
            default => [],
        };
    }
}
