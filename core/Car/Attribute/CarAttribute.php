<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Attribute;

use Skivo\Core\Measurement\Dimension;
use Skivo\Core\Measurement\Quantity;
use Skivo\Core\Measurement\Remark;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\Shown;
use Skivo\Core\Measurement\Unit;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Physics\BandEnd;
use Skivo\Core\Physics\Hollow;
use Skivo\Core\Physics\WheelMount;

/**
 * Everything that is known of a car, in the order in which a car is built: what its build sheet records, what follows
 * from the kind of its parts, and what only a bench or the day of the run can tell.
 *
 * This is the one list: the build sheet, the columns of a run table, the parts, the input of the run model and what
 * may explain a result all hang on it by the case; the value is the key under which it is stored. Its name stands in
 * lang/en/car.php.
 *
 * Where an attribute was not recorded it is absent, never a default. What is said of axle, bearing and track holds for
 * both axles, unless the rear one has its own value. A row of tubes is the three bores, from the exit to the balloon.
 * How far the balloon was filled, the surface, the air and the speed at the start may differ from try to try; what is
 * on the build sheet then is what the group usually does.
 */
enum CarAttribute: string
{
    /** The diameter of a full balloon (m). Common practice, no source. */
    public const USUAL_BALLOON_M = 0.20;

    #[AttributeFacts(Step::Chassis, column: 'chassis', isColumnAlwaysThere: true, explains: Explains::AsKind)]
    #[AttributeRole(
        isHeld: true,
        tells: [self::ChassisLength, self::ChassisWidth, self::ChassisHeight, self::ChassisMass],
        entails: [self::ChassisLength, self::ChassisWidth, self::Wheelbase, self::Track],
    )]
    case Chassis = 'chassis';

    #[AttributeFacts(Step::Chassis, column: 'form of the chassis', options: ChassisForm::class)]
    case ChassisForm = 'chassis_form';

    #[AttributeFacts(
        Step::Chassis,
        Scale::Body,
        [0.02, 1.0],
        usual: [0.03, 0.5],
        column: 'chassis length',
        part: PartKind::Chassis,
        explains: Explains::AsNumber,
        ruler: new Ruler(0.05, 0.5, 0.15, 0.005),
    )]
    #[AttributeRole(isLook: true, isHeld: true, entails: [self::Wheelbase])]
    case ChassisLength = 'chassis_length';

    #[AttributeFacts(
        Step::Chassis,
        Scale::Body,
        [0.005, 0.6],
        usual: [0.01, 0.3],
        column: 'chassis width',
        part: PartKind::Chassis,
        explains: Explains::AsNumber,
        ruler: new Ruler(0.02, 0.3, 0.075, 0.005),
    )]
    #[AttributeRole(isLook: true, isHeld: true, entails: [self::Track])]
    case ChassisWidth = 'chassis_width';

    #[AttributeFacts(
        Step::Chassis,
        Scale::Part,
        [0.0003, 0.3],
        column: 'chassis thickness',
        part: PartKind::Chassis,
        ruler: new Ruler(0.001, 0.15, 0.004, 0.001),
    )]
    case ChassisHeight = 'chassis_height';

    #[AttributeFacts(Step::Chassis, isMain: false, column: 'outline of the chassis')]
    case ChassisOutline = 'chassis_outline';

    #[AttributeFacts(Step::Chassis, column: 'nose', explains: Explains::AsKind, options: NoseShape::class)]
    case Nose = 'nose';

    #[AttributeFacts(range: [0.1, 2.0], ruler: new Ruler(0.3, 1.3, 1.05, 0.05))]
    case NoseDrag = 'nose_drag';

    #[AttributeFacts(Step::Chassis, Scale::Weight, [0.0001, 5.0], isMain: false, column: 'mass of the chassis')]
    case ChassisMass = 'chassis_mass';

    #[AttributeFacts(Step::Chassis, isMain: false, column: 'body made stiff by', options: Reinforcement::class)]
    case Reinforcement = 'reinforcement';

    #[AttributeFacts(Step::Axles, column: 'axle and bearing', explains: Explains::AsKind)]
    #[AttributeRole(isHeld: true, tells: [self::AxleDiameter, self::BearingBore, self::AxleMass])]
    case Bearing = 'bearing';

    #[AttributeFacts(Step::Axles, column: 'bearings held by', explains: Explains::AsKind, options: BearingHold::class)]
    case BearingHold = 'bearing_hold';

    #[AttributeFacts(Step::Axles, Scale::Body, [0.01, 1.0], usual: [0.03, 0.4], column: 'wheelbase', explains: Explains::AsNumber)]
    #[AttributeRole(isLook: true, saidBy: [self::RearAxlePlace, self::FrontAxlePlace], isHeld: true)]
    case Wheelbase = 'wheelbase';

    #[AttributeFacts(Step::Axles, Scale::Body, [0.0, 1.0], isMain: false, column: 'rear axle, from the rear end')]
    case RearAxlePlace = 'rear_axle_place';

    #[AttributeFacts(Step::Axles, Scale::Body, [0.0, 1.0], isMain: false, column: 'front axle, from the front end')]
    case FrontAxlePlace = 'front_axle_place';

    #[AttributeFacts(Step::Axles, Scale::Body, [0.01, 0.8], usual: [0.03, 0.3], column: 'track', explains: Explains::AsNumber)]
    case Track = 'track';

    #[AttributeFacts(
        Step::Axles,
        Scale::Body,
        [0.01, 0.8],
        usual: [0.03, 0.3],
        isMain: false,
        column: 'rear track',
        ofBothAxles: self::Track,
    )]
    case RearTrack = 'rear_track';

    #[AttributeFacts(
        Step::Axles,
        Scale::Part,
        [0.0005, 0.05],
        usual: [0.001, 0.012],
        column: 'axle diameter',
        part: PartKind::Bearing,
        ruler: new Ruler(0.001, 0.012, 0.003, 0.0005, isSwept: true),
    )]
    #[AttributeRole(isHeld: true)]
    case AxleDiameter = 'axle_diameter';

    #[AttributeFacts(Step::Axles, Scale::Body, [0.01, 1.0], usual: [0.03, 0.4], column: 'axle length')]
    case AxleLength = 'axle_length';

    #[AttributeFacts(
        Step::Axles,
        Scale::Body,
        [0.01, 1.0],
        usual: [0.03, 0.4],
        isMain: false,
        column: 'rear axle length',
        ofBothAxles: self::AxleLength,
    )]
    case RearAxleLength = 'rear_axle_length';

    #[AttributeFacts(
        range: [0.001, 1.0],
        part: PartKind::Bearing,
        isLeftToPart: true,
        ruler: new Ruler(0.01, 1.0, 0.3, 0.01, isSwept: true),
    )]
    case BearingFriction = 'bearing_friction';

    #[AttributeFacts(
        Step::Axles,
        Scale::Weight,
        [0.0, 0.5],
        isMain: false,
        column: 'mass of one axle',
        part: PartKind::Bearing,
        isLeftToPart: true,
        ruler: new Ruler(0.0, 0.05, 0.0008, 0.0001),
    )]
    case AxleMass = 'axle_mass';

    #[AttributeFacts(
        Step::Axles,
        Scale::Part,
        [0.0005, 0.05],
        usual: [0.0015, 0.02],
        column: 'bore of the bearing',
        part: PartKind::Bearing,
    )]
    case BearingBore = 'bearing_bore';

    #[AttributeFacts(Step::Axles, Scale::Body, [0.002, 0.8], column: 'bearing length')]
    case BearingLength = 'bearing_length';

    #[AttributeFacts(
        Step::Axles,
        Scale::Body,
        [0.002, 0.8],
        isMain: false,
        column: 'rear bearing length',
        ofBothAxles: self::BearingLength,
    )]
    case RearBearingLength = 'rear_bearing_length';

    #[AttributeFacts(Step::Axles, Scale::Part, [0.0, 0.1], column: 'end play', explains: Explains::AsNumber)]
    case EndPlay = 'end_play';

    #[AttributeFacts(Step::Axles, Scale::Part, [0.0, 0.1], isMain: false, column: 'rear end play', ofBothAxles: self::EndPlay)]
    case RearEndPlay = 'rear_end_play';

    #[AttributeFacts(Step::Wheels, column: 'wheels', isColumnAlwaysThere: true, explains: Explains::AsKind)]
    #[AttributeRole(
        isHeld: true,
        tellsApart: true,
        tells: [self::WheelDiameter, self::WheelThickness, self::WheelHub, self::WheelMass],
        entails: [self::WheelDiameter, self::Track, self::NozzleHeight],
    )]
    case WheelKind = 'wheel_kind';

    #[AttributeFacts(
        Step::Wheels,
        Scale::Part,
        [0.003, 0.6],
        usual: [0.01, 0.15],
        column: 'wheel diameter',
        isColumnAlwaysThere: true,
        part: PartKind::Wheel,
        explains: Explains::AsNumber,
        ruler: new Ruler(0.015, 0.2, 0.03, 0.001, isMain: true, isSwept: true),
    )]
    #[AttributeRole(
        isLook: true,
        isHeld: true,
        tellsApart: true,
        entails: [self::WheelKind, self::WheelMass, self::WheelInertia, self::WheelLoss, self::Grip, self::NozzleHeight],
    )]
    case WheelDiameter = 'wheel_diameter';

    #[AttributeFacts(
        Step::Wheels,
        Scale::Weight,
        [0.0001, 0.5],
        isMain: false,
        column: 'mass of one wheel',
        part: PartKind::Wheel,
        ruler: new Ruler(0.0002, 0.1, 0.0025, 0.0001),
    )]
    case WheelMass = 'wheel_mass';

    #[AttributeFacts(range: [0.3, 1.0], part: PartKind::Wheel, isLeftToPart: true, ruler: new Ruler(0.3, 1.0, 0.7, 0.01))]
    case WheelInertia = 'wheel_inertia';

    #[AttributeFacts(range: [0.0005, 0.5], part: PartKind::Wheel, isLeftToPart: true, ruler: new Ruler(0.001, 0.1, 0.006, 0.001))]
    case WheelLoss = 'wheel_loss';

    #[AttributeFacts(Step::Wheels, Scale::Part, [0.0003, 0.1], column: 'wheel thickness', part: PartKind::Wheel)]
    case WheelThickness = 'wheel_thickness';

    #[AttributeFacts(Step::Wheels, Scale::Part, [0.0003, 0.1], column: 'wheel hub', part: PartKind::Wheel, isLeftToPart: true)]
    case WheelHub = 'wheel_hub';

    #[AttributeFacts(Step::Wheels, column: 'wheel hollow', explains: Explains::AsKind, options: Hollow::class)]
    case WheelHollow = 'wheel_hollow';

    #[AttributeFacts(
        Step::Wheels,
        Scale::Part,
        [0.0005, 0.05],
        isMain: false,
        column: 'hole in the wheel',
        part: PartKind::Wheel,
        isLeftToPart: true,
    )]
    case WheelBore = 'wheel_bore';

    #[AttributeFacts(
        Step::Wheels,
        column: 'wheel mount',
        isColumnAlwaysThere: true,
        explains: Explains::AsKind,
        options: WheelMount::class,
        ruler: new Ruler(0.0, 1.0, 0.0, 1.0, limits: [0.0, 1.0]),
    )]
    case WheelMount = 'wheel_mount';

    #[AttributeFacts(Step::Wheels, column: 'wheels held by', explains: Explains::AsKind, options: WheelHold::class)]
    case WheelHold = 'wheel_hold';

    #[AttributeFacts(Step::Wheels, column: 'tyres', explains: Explains::AsKind, options: Tyre::class)]
    case Tyre = 'tyre';

    #[AttributeFacts(
        Step::Power,
        column: 'source of energy',
        explains: Explains::AsKind,
        options: EnergySource::class,
        unsaid: EnergySource::Balloon->value,
    )]
    case EnergySource = 'energy_source';

    #[AttributeFacts(
        Step::Power,
        Scale::Count,
        [1.0, 30.0],
        column: 'bands in the chain',
        explains: Explains::AsNumber,
    )]
    #[AttributeRole(drive: Drive::Band, entails: [self::ChainLength])]
    case BandsInChain = 'bands_in_chain';

    #[AttributeFacts(
        Step::Power,
        Scale::Count,
        [1.0, 12.0],
        column: 'bands side by side',
        explains: Explains::AsNumber,
        ruler: new Ruler(1.0, 6.0, 1.0, 1.0, isMain: true),
    )]
    #[AttributeRole(drive: Drive::Band)]
    case BandsSideBySide = 'bands_side_by_side';

    #[AttributeFacts(Step::Power, Scale::Body, [0.005, 1.0], usual: [0.02, 0.3], column: 'length of one band')]
    #[AttributeRole(drive: Drive::Band)]
    case BandLength = 'band_length';

    #[AttributeFacts(
        Step::Power,
        Scale::Part,
        [0.0003, 0.05],
        usual: [0.0008, 0.012],
        column: 'width of the band',
        explains: Explains::AsNumber,
        ruler: new Ruler(0.0005, 0.015, 0.003, 0.0005),
    )]
    #[AttributeRole(drive: Drive::Band)]
    case BandWidth = 'band_width';

    #[AttributeFacts(
        Step::Power,
        Scale::Part,
        [0.0002, 0.01],
        usual: [0.0005, 0.003],
        column: 'thickness of the band',
        ruler: new Ruler(0.0003, 0.003, 0.001, 0.0001),
    )]
    #[AttributeRole(drive: Drive::Band)]
    case BandThickness = 'band_thickness';

    #[AttributeFacts(
        Step::Power,
        Scale::Body,
        [0.01, 5.0],
        usual: [0.05, 1.0],
        column: 'chain, unstretched',
        explains: Explains::AsNumber,
        ruler: new Ruler(0.04, 0.6, 0.16, 0.005, isMain: true, isSwept: true),
    )]
    #[AttributeRole(drive: Drive::Band, isLook: true, saidBy: [self::BandsInChain, self::BandLength], entails: [self::BandsInChain])]
    case ChainLength = 'chain_length';

    #[AttributeFacts(Step::Power, column: 'driven axle', explains: Explains::AsKind, options: DrivenEnd::class)]
    #[AttributeRole(drive: Drive::Band)]
    case DrivenEnd = 'driven_end';

    #[AttributeFacts(Step::Power, Scale::Body, [0.0, 1.0], column: 'hook, from the far end')]
    #[AttributeRole(drive: Drive::Band)]
    case HookPlace = 'hook_place';

    #[AttributeFacts(Step::Power, Scale::Part, [0.0, 0.3], isMain: false, column: 'hook, beside the middle', explains: Explains::AsNumber)]
    #[AttributeRole(drive: Drive::Band)]
    case HookOffset = 'hook_offset';

    #[AttributeFacts(
        Step::Power,
        Scale::Body,
        [0.01, 5.0],
        usual: [0.02, 1.0],
        column: 'hook to driven axle',
        ruler: new Ruler(0.03, 0.6, 0.12, 0.005, isSwept: true),
    )]
    #[AttributeRole(drive: Drive::Band)]
    case InstalledLength = 'installed_length';

    #[AttributeFacts(
        Step::Power,
        Scale::Part,
        [0.0005, 0.1],
        usual: [0.001, 0.03],
        column: 'axle where the band winds',
        explains: Explains::AsNumber,
        ruler: new Ruler(0.001, 0.03, 0.003, 0.0005, isMain: true, isSwept: true),
    )]
    #[AttributeRole(drive: Drive::Band)]
    case WindingDiameter = 'winding_diameter';

    #[AttributeFacts(
        Step::Power,
        column: 'end of the band',
        explains: Explains::AsKind,
        options: BandEnd::class,
        ruler: new Ruler(0.0, 1.0, 0.0, 1.0, limits: [0.0, 1.0]),
    )]
    #[AttributeRole(drive: Drive::Band)]
    case BandEnd = 'band_end';

    #[AttributeFacts(Step::Power, isMain: false, column: 'still end of the band', options: BandAnchor::class)]
    #[AttributeRole(drive: Drive::Band)]
    case BandAnchor = 'band_anchor';

    #[AttributeFacts(Step::Power, isMain: false, column: 'wound by', options: WoundBy::class)]
    #[AttributeRole(drive: Drive::Band)]
    case WoundBy = 'wound_by';

    #[AttributeFacts(
        Step::Power,
        Scale::Count,
        [1.0, 500.0],
        column: 'turns wound',
        explains: Explains::AsNumber,
        ruler: new Ruler(0.0, 60.0, 12.0, 1.0, limits: [0.0, 500.0], isMain: true, isSwept: true),
    )]
    #[AttributeRole(drive: Drive::Band, isLook: true)]
    case TurnsWound = 'turns_wound';

    #[AttributeFacts(range: [0.1, 5.0], ruler: new Ruler(0.2, 3.0, 1.0, 0.05))]
    #[AttributeRole(drive: Drive::Band)]
    case BandStiffness = 'band_stiffness';

    #[AttributeFacts(range: [0.1, 1.0], ruler: new Ruler(0.4, 1.0, 0.85, 0.01))]
    #[AttributeRole(drive: Drive::Band)]
    case ReturnedFraction = 'returned_fraction';

    #[AttributeFacts(range: [0.01, 1.0], ruler: new Ruler(0.1, 0.95, 0.5, 0.01, isMain: true, isSwept: true))]
    #[AttributeRole(drive: Drive::Band)]
    case DrivenLoadShare = 'driven_load_share';

    #[AttributeFacts(
        range: [0.01, 3.0],
        part: PartKind::Wheel,
        isLeftToPart: true,
        ruler: new Ruler(0.1, 1.2, 0.35, 0.01, isMain: true, isSwept: true),
    )]
    #[AttributeRole(drive: Drive::Band)]
    case Grip = 'grip';

    #[AttributeFacts(range: [0.2, 1.0], ruler: new Ruler(0.4, 1.0, 0.8, 0.01))]
    #[AttributeRole(drive: Drive::Band)]
    case GripSliding = 'grip_sliding';

    #[AttributeFacts(
        Step::Power,
        Scale::Body,
        [0.001, 3.0],
        usual: [0.01, 1.0],
        column: 'height of the ramp',
        explains: Explains::AsNumber,
        ruler: new Ruler(0.01, 0.6, 0.15, 0.005, isMain: true, isSwept: true),
    )]
    #[AttributeRole(drive: Drive::Ramp, isLook: true)]
    case RampHeight = 'ramp_height';

    #[AttributeFacts(
        Step::Power,
        Scale::Body,
        [0.01, 10.0],
        usual: [0.05, 3.0],
        column: 'length of the ramp along the floor',
        ruler: new Ruler(0.05, 2.0, 0.5, 0.01),
    )]
    #[AttributeRole(drive: Drive::Ramp)]
    case RampLength = 'ramp_length';

    #[AttributeFacts(
        Step::Power,
        Scale::Count,
        [1.0, 6.0],
        column: 'balloons',
        explains: Explains::AsKind,
        ruler: new Ruler(1.0, 4.0, 1.0, 1.0),
        unsaid: '1',
    )]
    #[AttributeRole(drive: Drive::Balloon, isHeld: true)]
    case Balloons = 'balloons';

    #[AttributeFacts(
        Step::Power,
        Scale::Body,
        [0.02, 1.5],
        usual: [0.03, 0.6],
        column: 'balloon nominal',
        isColumnAlwaysThere: true,
        part: PartKind::Balloon,
        explains: Explains::AsNumber,
    )]
    #[AttributeRole(drive: Drive::Balloon, isHeld: true)]
    case BalloonNominal = 'balloon_nominal';

    #[AttributeFacts(Step::Power, column: 'balloon shape', options: BalloonShape::class)]
    #[AttributeRole(drive: Drive::Balloon)]
    case BalloonShape = 'balloon_shape';

    #[AttributeFacts(Step::Power, isMain: false, column: 'balloon make')]
    #[AttributeRole(drive: Drive::Balloon)]
    case BalloonMake = 'balloon_make';

    #[AttributeFacts(Step::Power, column: 'balloon stretched first', explains: Explains::AsKind, options: YesNo::class)]
    #[AttributeRole(drive: Drive::Balloon)]
    case BalloonStretched = 'balloon_stretched';

    #[AttributeFacts(
        Step::Power,
        Scale::Body,
        [0.01, 0.3],
        isMain: false,
        column: 'balloon, relaxed diameter',
        part: PartKind::Balloon,
        ruler: new Ruler(0.02, 0.15, 0.06, 0.001),
    )]
    #[AttributeRole(drive: Drive::Balloon)]
    case BalloonRelaxed = 'balloon_relaxed';

    #[AttributeFacts(
        scale: Scale::Part,
        range: [0.00005, 0.002],
        part: PartKind::Balloon,
        isLeftToPart: true,
        ruler: new Ruler(0.0001, 0.001, 0.00025, 0.00001),
    )]
    #[AttributeRole(drive: Drive::Balloon)]
    case BalloonFilm = 'balloon_film';

    #[AttributeFacts(range: [0.2, 5.0], ruler: new Ruler(0.2, 5.0, 1.0, 0.05))]
    #[AttributeRole(drive: Drive::Balloon)]
    case BalloonPressure = 'balloon_pressure';

    #[AttributeFacts(
        Step::Power,
        Scale::Body,
        [0.02, 4.0],
        usual: [0.03, 1.5],
        column: 'balloon diameter',
        isColumnAlwaysThere: true,
        explains: Explains::AsNumber,
        ruler: new Ruler(0.08, 0.40, self::USUAL_BALLOON_M, 0.005, limits: [0.01, 0.6], isMain: true, isSwept: true),
    )]
    #[AttributeRole(drive: Drive::Balloon, isLook: true, saidBy: [self::PumpStrokes], tellsApart: true, entails: [self::PumpStrokes])]
    case BalloonSize = 'balloon_size';

    #[AttributeFacts(
        Step::Power,
        Scale::Count,
        [1.0, 500.0],
        column: 'pump strokes',
        isColumnAlwaysThere: true,
        explains: Explains::AsNumber,
    )]
    #[AttributeRole(drive: Drive::Balloon, entails: [self::BalloonSize])]
    case PumpStrokes = 'pump_strokes';

    #[AttributeFacts(
        Step::Power,
        column: 'filled by',
        explains: Explains::AsKind,
        options: FilledBy::class,
        ruler: new Ruler(0.0, 1.0, 0.0, 1.0, limits: [0.0, 1.0]),
    )]
    #[AttributeRole(drive: Drive::Balloon)]
    case FilledBy = 'filled_by';

    #[AttributeFacts(Step::Power, Scale::Weight, [0.0001, 0.1], isMain: false, column: 'mass of one balloon')]
    #[AttributeRole(drive: Drive::Balloon)]
    case BalloonMass = 'balloon_mass';

    #[AttributeFacts(Step::Power, isMain: false, column: 'balloon filled', explains: Explains::AsKind, options: FilledWhen::class)]
    #[AttributeRole(drive: Drive::Balloon)]
    case FilledWhen = 'filled_when';

    #[AttributeFacts(Step::Power, isMain: false, column: 'balloon rests on', explains: Explains::AsKind, options: BalloonRest::class)]
    #[AttributeRole(drive: Drive::Balloon)]
    case BalloonRest = 'balloon_rest';

    #[AttributeFacts(Step::Power, column: 'joint', explains: Explains::AsKind)]
    #[AttributeRole(drive: Drive::Balloon, entails: [self::BandTurns])]
    case Joint = 'joint';

    #[AttributeFacts(Step::Power, column: 'lip of the balloon cut off', explains: Explains::AsKind, options: YesNo::class)]
    #[AttributeRole(drive: Drive::Balloon)]
    case LipCut = 'lip_cut';

    #[AttributeFacts(Step::Power, Scale::Part, [0.002, 0.15], column: 'tube in the neck', explains: Explains::AsNumber)]
    #[AttributeRole(drive: Drive::Balloon)]
    case NeckDepth = 'neck_depth';

    #[AttributeFacts(Step::Power, Scale::Count, [1.0, 30.0], column: 'turns of the band', explains: Explains::AsNumber)]
    #[AttributeRole(drive: Drive::Balloon)]
    case BandTurns = 'band_turns';

    #[AttributeFacts(Step::Power, Scale::Part, [0.001, 0.15], isMain: false, column: 'width of the joint, outside')]
    #[AttributeRole(drive: Drive::Balloon)]
    case JointWidth = 'joint_width';

    #[AttributeFacts(
        Step::Power,
        Scale::Part,
        [0.001, 0.15],
        isMain: false,
        column: 'width of the balloon’s neck',
        part: PartKind::Balloon,
        isLeftToPart: true,
    )]
    #[AttributeRole(drive: Drive::Balloon)]
    case NeckWidth = 'neck_width';

    #[AttributeFacts(Step::Nozzle, column: 'nozzle', isColumnAlwaysThere: true, explains: Explains::AsKind)]
    #[AttributeRole(
        drive: Drive::Balloon,
        isHeld: true,
        tellsApart: true,
        tells: [self::NozzleBore, self::NozzleOutlets, self::NozzleLength],
        entails: [self::NozzleBore, self::WiderBore, self::WidestBore, self::NozzleOutlets, self::NozzleLength],
    )]
    case NozzleKind = 'nozzle_kind';

    #[AttributeFacts(
        Step::Nozzle,
        Scale::Part,
        [0.0005, 0.1],
        usual: [0.0015, 0.025],
        column: 'nozzle bore',
        isColumnAlwaysThere: true,
        part: PartKind::Nozzle,
        explains: Explains::AsNumber,
        ruler: new Ruler(0.002, 0.02, 0.006, 0.0005, limits: [0.001, 0.1], isMain: true, isSwept: true),
    )]
    #[AttributeRole(drive: Drive::Balloon, isLook: true, isHeld: true, tellsApart: true, entails: [self::NozzleKind])]
    case NozzleBore = 'nozzle_bore';

    #[AttributeFacts(
        Step::Nozzle,
        Scale::Part,
        [0.0005, 0.12],
        isMain: false,
        column: 'nozzle outside',
        part: PartKind::Nozzle,
        isLeftToPart: true,
    )]
    #[AttributeRole(drive: Drive::Balloon)]
    case NozzleOutside = 'nozzle_outside';

    #[AttributeFacts(
        Step::Nozzle,
        Scale::Part,
        [0.0005, 0.1],
        usual: [0.003, 0.04],
        isMain: false,
        column: 'wider tube before it',
        part: PartKind::Nozzle,
        isLeftToPart: true,
        explains: Explains::AsNumber,
        ruler: new Ruler(0.0, 0.04, 0.0, 0.0005, limits: [0.0, 0.1]),
        unsaid: 0.0,
    )]
    #[AttributeRole(drive: Drive::Balloon, entails: [self::NozzleKind, self::WidestBore])]
    case WiderBore = 'wider_bore';

    #[AttributeFacts(
        Step::Nozzle,
        Scale::Part,
        [0.0005, 0.12],
        isMain: false,
        column: 'wider tube outside',
        part: PartKind::Nozzle,
        isLeftToPart: true,
    )]
    #[AttributeRole(drive: Drive::Balloon)]
    case WiderOutside = 'wider_outside';

    #[AttributeFacts(
        Step::Nozzle,
        Scale::Part,
        [0.0005, 0.1],
        usual: [0.003, 0.04],
        isMain: false,
        column: 'widest tube before that',
        part: PartKind::Nozzle,
        isLeftToPart: true,
        explains: Explains::AsNumber,
        ruler: new Ruler(0.0, 0.04, 0.0, 0.0005, limits: [0.0, 0.1]),
        unsaid: 0.0,
    )]
    #[AttributeRole(drive: Drive::Balloon, entails: [self::NozzleKind, self::WiderBore])]
    case WidestBore = 'widest_bore';

    #[AttributeFacts(
        Step::Nozzle,
        Scale::Count,
        [1.0, 50.0],
        column: 'outlets',
        isColumnAlwaysThere: true,
        explains: Explains::AsKind,
        ruler: new Ruler(1.0, 12.0, 1.0, 1.0, limits: [1.0, 20.0], isMain: true),
        unsaid: '1',
    )]
    #[AttributeRole(drive: Drive::Balloon, isHeld: true, entails: [self::NozzleKind])]
    case NozzleOutlets = 'nozzle_outlets';

    #[AttributeFacts(scale: Scale::Area, range: [0.0, 0.4], explains: Explains::AsNumber)]
    #[AttributeRole(drive: Drive::Balloon)]
    case OutletArea = 'outlet_area';

    #[AttributeFacts(
        Step::Nozzle,
        Scale::Body,
        [0.0, 2.0],
        usual: [0.01, 0.6],
        column: 'nozzle length',
        isColumnAlwaysThere: true,
        part: PartKind::Nozzle,
        explains: Explains::AsNumber,
        ruler: new Ruler(0.0, 0.5, 0.15, 0.01, isSwept: true),
    )]
    #[AttributeRole(drive: Drive::Balloon, isHeld: true, entails: [self::NozzleKind])]
    case NozzleLength = 'nozzle_length';

    #[AttributeFacts(
        Step::Nozzle,
        Scale::Angle,
        [-90.0, 180.0],
        column: 'nozzle points down by',
        explains: Explains::AsNumber,
        ruler: new Ruler(-45.0, 60.0, 0.0, 1.0, limits: [-80.0, 80.0], isSwept: true),
    )]
    #[AttributeRole(drive: Drive::Balloon)]
    case NozzleAngle = 'nozzle_angle';

    #[AttributeFacts(Step::Nozzle, Scale::Body, [0.0, 0.6], column: 'nozzle above the floor', explains: Explains::AsNumber)]
    #[AttributeRole(drive: Drive::Balloon)]
    case NozzleHeight = 'nozzle_height';

    #[AttributeFacts(Step::Nozzle, Scale::Body, [0.0, 0.6], column: 'nozzle sticks out behind')]
    #[AttributeRole(drive: Drive::Balloon)]
    case NozzleOverhang = 'nozzle_overhang';

    #[AttributeFacts(Step::Nozzle, column: 'let go by', explains: Explains::AsKind, options: Release::class)]
    #[AttributeRole(drive: Drive::Balloon)]
    case Release = 'release';

    #[AttributeFacts(range: [0.0, 5.0], ruler: new Ruler(0.0, 3.0, 0.0, 0.1))]
    #[AttributeRole(drive: Drive::Balloon)]
    case ReleaseLoss = 'release_loss';

    #[AttributeFacts(scale: Scale::Area, range: [0.0, 0.0001], ruler: new Ruler(0.0, 0.00002, 0.0, 0.0000002))]
    #[AttributeRole(drive: Drive::Balloon)]
    case Leak = 'leak';

    #[AttributeFacts(Step::Nozzle, Scale::Weight, [0.0001, 0.5], isMain: false, column: 'mass of the nozzle')]
    #[AttributeRole(drive: Drive::Balloon)]
    case NozzleMass = 'nozzle_mass';

    #[AttributeFacts(Step::Mass, Scale::Weight, [0.0, 5.0], isMain: false, column: 'mass of everything else')]
    case ExtrasMass = 'extras_mass';

    #[AttributeFacts(Step::Mass, Scale::Weight, [0.0, 2.0], column: 'ballast', explains: Explains::AsNumber, unsaid: 0.0)]
    #[AttributeRole(entails: [self::Mass])]
    case Ballast = 'ballast';

    #[AttributeFacts(Step::Mass, Scale::Body, [0.0, 1.0], isMain: false, column: 'ballast, from the rear end')]
    case BallastPlace = 'ballast_place';

    #[AttributeFacts(Step::Mass, column: 'decorated', options: Decoration::class)]
    case Decoration = 'decoration';

    #[AttributeFacts(Step::Mass, Scale::Weight, [0.0, 2.0], isMain: false, column: 'mass of the decoration')]
    case DecorationMass = 'decoration_mass';

    #[AttributeFacts(
        Step::Mass,
        Scale::Weight,
        [0.001, 10.0],
        usual: [0.008, 0.5],
        column: 'mass',
        isColumnAlwaysThere: true,
        explains: Explains::AsNumber,
        ruler: new Ruler(0.01, 0.4, 0.06, 0.001, isMain: true, isSwept: true),
    )]
    #[AttributeRole(isLook: true, isHeld: true)]
    case Mass = 'mass';

    #[AttributeFacts(range: [0.0, 1.0], ruler: new Ruler(0.0, 0.5, 0.0, 0.001))]
    case RollingCoefficient = 'rolling_coefficient';

    #[AttributeFacts(range: [0.0, 1.0], ruler: new Ruler(0.0, 0.5, 0.0, 0.001, isSwept: true))]
    case Workmanship = 'workmanship';

    #[AttributeFacts(range: [1.0, 3.0], ruler: new Ruler(1.0, 3.0, 1.2, 0.05))]
    case BreakawayRatio = 'breakaway_ratio';

    #[AttributeFacts(Step::Floor, column: 'surface', isColumnAlwaysThere: true, explains: Explains::AsKind)]
    #[AttributeRole(isLook: true, isHeld: true)]
    case Surface = 'surface';

    #[AttributeFacts(range: [0.0, 0.5], part: PartKind::Surface, ruler: new Ruler(0.0, 0.2, 0.0, 0.001))]
    case SurfaceLoss = 'surface_loss';

    #[AttributeFacts(range: [0.0, 5.0], ruler: new Ruler(0.0, 5.0, 0.0, 0.1))]
    case StartSpeed = 'start_speed';

    #[AttributeFacts(range: [-30.0, 60.0], ruler: new Ruler(-10.0, 45.0, 20.0, 1.0))]
    case AirTemperature = 'air_temperature';

    /** The unit of a number typed without one; null for kinds and plain numbers. */
    public function bareUnit(UnitSystem $units): ?Unit
    {
        $scale = $this->scale();

        return $scale === null ? null : $units->unit($scale);
    }

    public function facts(): AttributeFacts
    {
        /** @var array<string, AttributeFacts> $known */
        static $known = [];

        return $known[$this->value] ??= (
            new \ReflectionEnumBackedCase(self::class, $this->name)
        )->getAttributes(AttributeFacts::class)[0]->newInstance();
    }

    public function role(): AttributeRole
    {
        /** @var array<string, AttributeRole> $known */
        static $known = [];

        return $known[$this->value] ??= ((new \ReflectionEnumBackedCase(self::class, $this->name))
            ->getAttributes(AttributeRole::class)[0] ?? null)?->newInstance() ?? new AttributeRole();
    }

    public function step(): ?Step
    {
        return $this->facts()->step;
    }

    /** Null for a choice among kinds, and for a plain number. */
    public function scale(): ?Scale
    {
        return $this->facts()->scale;
    }

    /** Whether it is a length or a mass, typed with a unit. */
    public function isQuantity(): bool
    {
        return $this->scale() !== null && !$this->isCount();
    }

    /** Whether it is a whole number: things counted, or degrees. */
    public function isCount(): bool
    {
        return $this->scale() === Scale::Count || $this->scale() === Scale::Angle;
    }

    /** Whether it is a word rather than a number. */
    public function isKind(): bool
    {
        return $this->facts()->range === null;
    }

    /**
     * Those among which it is chosen; none where any word may be typed.
     *
     * @return list<\BackedEnum>
     */
    public function options(): array
    {
        return $this->facts()->options === null ? [] : $this->facts()->options::cases();
    }

    /**
     * Least and greatest value that is taken for real, in SI, as a count or in degrees.
     *
     * @return array{float, float}
     *
     * @throws \LogicException for a choice among kinds
     */
    public function range(): array
    {
        return $this->facts()->range ?? throw new \LogicException("{$this->name} has no range.");
    }

    /** Why a value is refused, with the cure; null where it is fine. */
    public function complaint(float $si): ?Remark
    {
        [$least, $greatest] = $this->range();

        return $si >= $least && $si <= $greatest
            ? null
            : new Remark(
                'quantity.out_of_range',
                ['attribute' => $this, 'least' => $this->shown($least), 'greatest' => $this->shown($greatest)],
            );
    }

    /** A value of it, to be shown; to one digit more than it is usually read, where it marks a limit. */
    public function shown(float $si, int $moreDecimals = 1): Shown|float
    {
        $scale = $this->scale();

        return $scale === null ? $si : new Shown($si, $scale, $moreDecimals);
    }

    /** Whether a value is one that hardly any car has: perhaps typed in another unit. */
    public function isUnusual(float $si): bool
    {
        $usual = $this->facts()->usual;

        return $usual !== null && ($si < $usual[0] || $si > $usual[1]);
    }

    /** @throws \LogicException where the run model does not know it */
    public function ruler(): Ruler
    {
        return $this->facts()->ruler ?? throw new \LogicException("The run model does not know {$this->name}.");
    }

    /**
     * Between these the run model computes, in SI.
     *
     * @return array{float, float}
     */
    public function limits(): array
    {
        return $this->ruler()->limits ?? $this->range();
    }

    public function dimension(): Dimension
    {
        return $this->scale() === Scale::Weight ? Dimension::Mass : Dimension::Length;
    }

    /** Whether it is the mass of a part, which the car's own mass has in it. */
    public function isMassOfAPart(): bool
    {
        return $this->scale() === Scale::Weight && !in_array($this->step(), [Step::Mass, null], true);
    }

    /** A stored SI value as a quantity again. */
    public function quantity(float $si): Quantity
    {
        return Quantity::fromSi($si, $this->dimension());
    }

    /** What it explains, where it does, as more or less of it rather than as one or the other. */
    public function explainsAsNumber(): bool
    {
        return $this->facts()->explains === Explains::AsNumber;
    }

    /** @return list<self> what a build sheet records */
    public static function recorded(): array
    {
        /** @var list<self>|null $recorded */
        static $recorded = null;

        return $recorded ??= self::where(static fn(AttributeFacts $facts): bool => $facts->step !== null);
    }

    /** Whether it means anything of a car that is driven so: what is asked, drawn and computed hangs on it. */
    public function belongsTo(EnergySource $source): bool
    {
        $drive = $this->role()->drive;

        return $drive === null || $source->has($drive);
    }

    /** Whether it is part of what drives a car, so that another source of energy brings another. */
    public function isOfTheDrive(): bool
    {
        return $this->role()->drive !== null;
    }

    /** @return list<self> what follows from it by necessity, or says it in another way, and so is part of what it does */
    public function entailed(): array
    {
        $kind = array_values(array_filter(PartKind::cases(), fn(PartKind $each): bool => $each->named() === $this));

        return [...$this->role()->entails, ...array_merge(...array_map(self::ofPart(...), $kind))];
    }

    /** Under which it is spoken of beside results: what no class sets against them by itself belongs to its part. */
    public function saidOf(): self
    {
        return $this->facts()->explains === null ? $this->facts()->part?->named() ?? $this : $this;
    }

    /** Whether one of two says the other as well, or part of it. */
    public function goesWith(self $other): bool
    {
        return $this === $other || in_array($other, $this->entailed(), true) || in_array($this, $other->entailed(), true);
    }

    /** @return list<self> what is set against results, numbers before kinds, and in the order in which steps matter to a run */
    public static function explaining(): array
    {
        /** @var list<self>|null $explaining */
        static $explaining = null;

        return $explaining ??= self::byInfluence(
            self::where(static fn(AttributeFacts $facts): bool => $facts->explains !== null),
            static fn(self $attribute): bool => $attribute->explainsAsNumber(),
        );
    }

    /** @return list<self> what the run model knows, what a class turns first before the rest, and in the order in which steps matter to a run */
    public static function ofModel(): array
    {
        /** @var list<self>|null $ofModel */
        static $ofModel = null;

        return $ofModel ??= self::byInfluence(
            self::where(static fn(AttributeFacts $facts): bool => $facts->ruler !== null),
            static fn(self $attribute): bool => $attribute->ruler()->isMain,
        );
    }

    /** @return list<self> those along which a sweep makes sense */
    public static function swept(): array
    {
        return self::where(static fn(AttributeFacts $facts): bool => $facts->ruler?->isSwept === true);
    }

    /** @return list<self> what a part of that kind gives a value to */
    public static function ofPart(PartKind $kind): array
    {
        /** @var array<string, list<self>> $ofPart */
        static $ofPart = [];

        return $ofPart[$kind->name] ??= self::where(static fn(AttributeFacts $facts): bool => $facts->part === $kind);
    }

    /**
     * @param callable(AttributeRole): bool $holds
     *
     * @return list<self> those of a step of which that is true, in the order of the build
     */
    public static function inRole(callable $holds, ?Step $step = null): array
    {
        return array_values(array_filter(
            self::cases(),
            static fn(self $each): bool => ($step === null || $each->step() === $step) && $holds($each->role()),
        ));
    }

    /** @return list<self> of a row of tubes, from the exit to the balloon */
    public static function bores(): array
    {
        return [self::NozzleBore, self::WiderBore, self::WidestBore];
    }

    /**
     * @param list<self> $attributes
     * @param callable(self): bool $comesFirst
     *
     * @return list<self>
     */
    private static function byInfluence(array $attributes, callable $comesFirst): array
    {
        $rank = static fn(self $attribute): array => [
            !$comesFirst($attribute), $attribute->step()?->rank() ?? ($attribute === self::OutletArea ? 0 : count(Step::cases())),
        ];
        // Sorting is stable: within a step they stay in the order of the build.
        usort($attributes, static fn(self $one, self $other): int => $rank($one) <=> $rank($other));

        return $attributes;
    }

    /**
     * @param callable(AttributeFacts): bool $holds
     *
     * @return list<self>
     */
    private static function where(callable $holds): array
    {
        return array_values(array_filter(self::cases(), static fn(self $attribute): bool => $holds($attribute->facts())));
    }
}
