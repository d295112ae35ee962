<?php

declare(strict_types=1);

namespace Skivo\Core\Session;

/** The phases of a session, in their usual order, with the minutes that they usually take (common practice, no source). */
enum Phase: string
{
    case Brief = 'brief';
    case Gather = 'gather';
    case Build = 'build';
    case Set = 'set';
    case Predict = 'predict';
    case Check = 'check';
    case Runs = 'runs';
    case Redesign = 'redesign';
    case RunsAgain = 'runs-again';
    case Discuss = 'discuss';
    case Tidy = 'tidy';

    public function usualMinutes(): int
    {
        return match ($this) {
            self::Brief, self::Predict, self::Check, self::Redesign, self::Discuss => 10,
            self::Gather, self::Tidy => 5,
            self::Build => 35,
            self::Set => 10,
            self::Runs, self::RunsAgain => 0,
        };
    }

    /** Waiting: it goes on by itself while the class does something else. */
    public function waits(): bool
    {
        return $this === self::Set;
    }

    /** Whether it can be broken off at the end of a session and taken up in the next. */
    public function canBeContinued(): bool
    {
        return match ($this) {
            self::Build, self::Runs, self::Redesign, self::RunsAgain => true,
            default => false,
        };
    }

    /** Whether the car must be dry and whole for it. */
    public function needsTheCar(): bool
    {
        return match ($this) {
            self::Check, self::Runs, self::Redesign, self::RunsAgain => true,
            default => false,
        };
    }
}
