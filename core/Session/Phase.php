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

    public function label(): string
    {
        return match ($this) {
            self::Brief => 'Brief the class',
            self::Gather => 'Gather materials',
            self::Build => 'Build',
            self::Set => 'Let glue and paint set',
            self::Predict => 'Sketch and predict',
            self::Check => 'Check the cars',
            self::Runs => 'Runs',
            self::Redesign => 'Change one thing',
            self::RunsAgain => 'Run again',
            self::Discuss => 'Discuss',
            self::Tidy => 'Tidy up',
        };
    }

    /** In a word, for where there is little room. */
    public function short(): string
    {
        return match ($this) {
            self::Brief => 'Brief',
            self::Gather => 'Gather',
            self::Set => 'Set',
            self::Predict => 'Predict',
            self::Check => 'Check',
            self::Redesign => 'Change',
            self::RunsAgain => 'Again',
            self::Tidy => 'Tidy',
            default => $this->label(),
        };
    }

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

    /** Whether the car must be dry and whole for it. */
    public function needsTheCar(): bool
    {
        return match ($this) {
            self::Check, self::Runs, self::Redesign, self::RunsAgain => true,
            default => false,
        };
    }
}
