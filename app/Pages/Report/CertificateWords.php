<?php

declare(strict_types=1);

namespace App\Pages\Report;

use App\Language\Figure;
use App\Language\GoalWords;
use App\Language\Label;
use App\Language\Lists;
use App\Language\Text;
use Skivo\Core\Challenge\Certificate;
use Skivo\Core\Challenge\Goal;
use Skivo\Core\Challenge\Honour;
use Skivo\Core\Measurement\Scale;

/** What stands on a certificate. */
final readonly class CertificateWords
{
    public function __construct(private CertificatesReading $reading) {}

    /** As in "First: farthest". */
    public function title(Certificate $certificate): string
    {
        $award = $certificate->award;

        return $certificate->honour === Honour::Place && $award !== null
            ? Text::of(
                "report.certificates.place_{$certificate->place}",
                ['award' => lcfirst(GoalWords::award($award, $this->reading->record->challenge->units))],
            )
            : Label::of($certificate->honour);
    }

    /** The figure that it is for. */
    public function score(Certificate $certificate): string
    {
        $units = $this->reading->record->challenge->units;
        $distance = fn(?float $metres): string => $units->show((float) $metres, Scale::Distance);
        $scale = $certificate->award?->goal->scale() ?? Scale::Distance;

        return match ($certificate->honour) {
            Honour::Place => $this->reading->isBound($certificate)
                ? Text::of(
                    'run.reach.at_least',
                    ['value' => $units->show((float) $certificate->value, $scale)],
                ) : $units->show((float) $certificate->value, $scale),
            Honour::Straightest => $units->show((float) $certificate->value, Goal::Straightest->scale()),
            Honour::Steadiest => Text::of('report.certificates.lay_within', ['share' => Figure::percent((float) $certificate->value, 1)]),
            Honour::BestGuess => Text::of('report.certificates.off_on_average', ['typical_miss' => $distance($certificate->value)]),
            Honour::MostImproved => Text::of(
                'report.certificates.from_to',
                ['from' => $units->show((float) $certificate->from, $scale), 'to' => $units->show((float) $certificate->value, $scale)],
            ),
            Honour::BestRepair => Text::of('report.certificates.ran_again', [
                'broke' => $certificate->broke === null
                    ? ''
                    : Label::inside($certificate->broke), 'distance' => $distance($certificate->value),
            ]),
            Honour::EveryTry => Text::plural('report.certificates.of_tries', $certificate->value),
        };
    }

    /** With whom it is shared; null where it is not. */
    public function beside(Certificate $certificate): ?string
    {
        return $certificate->beside === [] ? null : Text::of('report.certificates.side_by_side_with', [
            'beside' => Lists::and(array_map(fn(string $id): string => $this->reading->group($id)->name, $certificate->beside)),
        ]);
    }
}
