<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Check;

use Skivo\Core\Measurement\Entry;
use Skivo\Core\Measurement\Side;

/** What was found at one check of a car. */
final readonly class Reading
{
    public function __construct(
        public CheckItem $item,
        public ?Entry $first = null,
        /** The right side's, or after what distance. */
        public ?Entry $second = null,
        /** To which side it drifted. */
        public ?Side $side = null,
        /** To a question. */
        public ?bool $answer = null,
        public ?string $note = null,
    ) {}

    /**
     * The value that is judged, in SI, degrees or as a drift for the distance; null where it was not measured.
     *
     * @param float|null $trackM of the car, without which an angle between axles cannot be told
     */
    public function value(?float $trackM): ?float
    {
        $first = $this->first?->quantity->si();
        $second = $this->second?->quantity->si();

        return match (true) {
            $first === null => null,
            // Sides that are alike are parallel, whatever lies between them.
            $this->item === CheckItem::Parallel && $second !== null && abs($second - $first) < 1e-9 => 0.0,
            $this->item === CheckItem::Parallel => $second === null || $trackM === null
                ? null
                : rad2deg(atan(abs($second - $first) / $trackM)),
            $this->item === CheckItem::Drift => $second === null || $second <= 0.0 ? null : $first / $second,
            default => $first,
        };
    }

    /** Null where nothing that can be judged was found. */
    public function verdict(Tolerances $tolerances, ?float $trackM): ?CheckVerdict
    {
        if ($this->item->isQuestion()) {
            return match ($this->answer) {
                true => CheckVerdict::Pass,
                false => CheckVerdict::Fix,
                null => $this->note === null ? null : CheckVerdict::Note,
            };
        }
        $value = $this->value($trackM);

        return $value === null ? ($this->note === null ? null : CheckVerdict::Note) : $tolerances->of($this->item)?->judge($value);
    }
}
