<?php

declare(strict_types=1);

namespace App\Pages\Board;

use App\Pages\Room\Room;
use App\Record\ClassRecord;
use Skivo\Core\Forecast\WarmUp;
use Skivo\Core\Notebook\EntryKind;
use Skivo\Core\People\DeviceRole;

/** What the board shows before the first run: the class's code while it holds, and how many guessed what about the kit. */
final readonly class BoardStart
{
    /** @param array<string, array<string, int>> $tally how many groups said what, by the value of the question */
    private function __construct(public ?string $code, public array $tally) {}

    public static function of(ClassRecord $record): self
    {
        return new self(
            $record->challenge->joinCodes()
                ->where('role', DeviceRole::Group)
                ->whereNull('group_id')
                ->where('expires_at', '>', now())
                ->value('code'),
            Room::tally($record->groups->pluck('id'), EntryKind::WarmUp, array_column(WarmUp::cases(), 'value')),
        );
    }
}
