<?php

declare(strict_types=1);

namespace App\Pages\Findings;

use App\Record\ClassFindings;
use App\Record\ClassRecord;
use Skivo\Core\Findings\Effect;
use Skivo\Core\Findings\Outcome;

/** What a class found of its question, with the graph behind it; of free designs, what stands out. */
final readonly class AnswerReading
{
    public ?Effect $effect;

    /** @var list<AnswerFigure> one of the question; of a free design, of what goes with distances most */
    public array $figures;

    /** The first of them. */
    public ?AnswerFigure $figure;

    /** Of an answer that is told: what makes the difference. */
    public ?SharesDrawing $shares;

    public function __construct(public ClassRecord $record, public ClassFindings $findings)
    {
        $found = $findings->found;
        $this->effect = $found->question === null ? null : $found->asked;
        $this->figures = array_map(
            static fn(Effect $effect): AnswerFigure => new AnswerFigure($record, $findings, $effect),
            $this->effect !== null ? [$this->effect] : ($found->question === null ? $found->foremost() : []),
        );
        $this->figure = $this->figures[0] ?? null;
        $shares = $this->effect !== null && $found->claims->verdict($this->effect)->isTold() ? $this->effect->shares() : null;
        $this->shares = $shares === null || $this->effect?->outcome !== Outcome::Distance
            ? null
            : new SharesDrawing($shares, $this->effect->factor, $found->byPush, $record->challenge->units);
    }
}
