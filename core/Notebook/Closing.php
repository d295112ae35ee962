<?php

declare(strict_types=1);

namespace Skivo\Core\Notebook;

/** What groups are asked at the end, a tap each. */
enum Closing: string
{
    case MatteredMost = 'mattered_most';
    case SurprisedUs = 'surprised_us';
    case NextTime = 'next_time';
    case Teamwork = 'teamwork';

    /**
     * What can be tapped, by the keys under which lang/ says them.
     *
     * @return list<string>
     */
    public function answers(): array
    {
        return match ($this) {
            self::MatteredMost, self::NextTime => ['nozzle', 'balloon', 'wheels', 'mass', 'straightness', 'care'],
            self::SurprisedUs => ['farther_than_guessed', 'less_far_than_guessed', 'small_change', 'other_group', 'nothing'],
            self::Teamwork => ['well', 'in_between', 'hard'],
        };
    }
}
