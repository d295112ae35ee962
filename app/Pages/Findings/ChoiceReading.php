<?php

declare(strict_types=1);

namespace App\Pages\Findings;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Findings\Answer;
use Skivo\Core\Findings\Effect;

/** One choice in which the cars of a class differ, and what its cars say of it. */
final readonly class ChoiceReading
{
    /** The order in which choices are read: what is told, then hints, what hardly matters, what nobody can tell yet. */
    private const ORDER = [
        Answer::More, Answer::Less, Answer::LooksMore, Answer::LooksLess, Answer::Hint, Answer::HardlyMatters, Answer::CannotTell,
    ];

    /**
     * @param list<CarAttribute> $alongWith other choices that change together with it
     */
    public function __construct(
        public CarAttribute $factor,
        public Effect $effect,
        public Answer $verdict,
        public array $alongWith,
    ) {}

    /** @return array{int, float} by which rows are sorted */
    public function rank(): array
    {
        return [(int) array_search($this->verdict, self::ORDER, true), $this->effect->pValue ?? 1.0];
    }
}
