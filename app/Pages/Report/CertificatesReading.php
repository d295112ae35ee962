<?php

declare(strict_types=1);

namespace App\Pages\Report;

use App\Models\Car;
use App\Models\Group;
use App\Pages\Findings\PredictionsReading;
use App\Record\ClassRecord;
use Skivo\Core\Challenge\Award;
use Skivo\Core\Challenge\Certificate;
use Skivo\Core\Challenge\Certificates;
use Skivo\Core\Challenge\HonouredCar;
use Skivo\Core\Challenge\Standings;
use Skivo\Core\Challenge\Tries;

/** The certificates of a class, as its record bears them. */
final readonly class CertificatesReading
{
    /** @param list<Certificate> $certificates */
    private function __construct(
        public ClassRecord $record,
        public array $certificates,
    ) {}

    public static function of(ClassRecord $record): self
    {
        $challenge = $record->challenge;
        $foresights = PredictionsReading::of($record)->foresights;
        $cars = [];
        foreach ($record->groups->filter(static fn(Group $group): bool => $group->is_nominated && !$group->is_withdrawn) as $group) {
            $versions = array_values($group->cars->map(static fn(Car $car): Tries => $record->tries($car))->all());
            // The group stands by the last version that ran.
            while (count($versions) > 1 && $versions[count($versions) - 1]->counted === []) {
                array_pop($versions);
            }
            if ($versions !== []) {
                $cars[] = new HonouredCar((string) $group->id, $versions, $foresights[$group->id] ?? null);
            }
        }

        return new self($record, Certificates::of(
            [
                $record->standings(),
                ...array_map(static fn(Award $award): Standings => $record->standingsFor($award), array_slice($challenge->allAwards(), 1)),
            ],
            $cars,
        ));
    }

    public function group(string $id): Group
    {
        return $this->record->groups->firstWhere('id', (int) $id)
            ?? throw new \LogicException('Only groups of this class have certificates.');
    }

    /** Whether a place rests on a distance that is but a bound. */
    public function isBound(Certificate $certificate): bool
    {
        foreach ($this->record->lines() as $line) {
            if ((string) $line->group->id === $certificate->group) {
                return $certificate->award?->goal === $this->record->challenge->goal && $line->standing->reach?->isBound === true;
            }
        }

        return false;
    }
}
