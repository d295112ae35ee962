<?php

declare(strict_types=1);

namespace Skivo\Core\Exchange;

use Skivo\Core\Measurement\Scale;

/** What a run table says of a group and of a run, beside the attributes of the car. The value is the name in the header. */
enum SheetField: string
{
    case Group = 'group';
    case Mark = 'mark';
    case Version = 'version';
    case CarNote = 'car note';
    case Try = 'try';
    case Distance = 'distance';
    case Time = 'time';
    case Drift = 'drift';
    case DriftSide = 'drift side';
    case Load = 'load carried';
    case TotalTime = 'total time';
    case LimpMark = 'limp mark';
    case Filled = 'filled';
    case Lane = 'lane';
    case PastEnd = 'past the end';
    case FilledBy = 'try filled by';
    case RunKind = 'run kind';
    case FarWall = 'far wall';
    case Surface = 'try surface';
    case Ramp = 'ramp height';
    case Void = 'void';
    case RunNote = 'run note';

    /** Whether it stands to the right of the car's attributes. */
    public function isOfRun(): bool
    {
        return !in_array($this, [self::Group, self::Mark, self::Version], true);
    }

    public function isAlwaysThere(): bool
    {
        return in_array(
            $this,
            [self::Group, self::Mark, self::Version, self::CarNote, self::Try, self::Distance, self::Time, self::Void, self::RunNote],
            true,
        );
    }

    /** Null where it is no quantity. */
    public function scale(): ?Scale
    {
        return match ($this) {
            self::Distance, self::Drift, self::LimpMark, self::Ramp => Scale::Distance,
            self::Time, self::TotalTime => Scale::Stopwatch,
            self::Load => Scale::Weight,
            default => null,
        };
    }
}
