<?php

declare(strict_types=1);

namespace App\Pages\Findings;

use App\Record\ClassFindings;
use App\Record\ClassRecord;
use Skivo\Core\Findings\Answer;
use Skivo\Core\Findings\Effect;

/** What a class found of its question, with the graph behind it; of free designs, what stands out. */
final readonly class AnswerReading
{
    public ?Effect $effect;

    public ?AnswerFigure $figure;

    public function __construct(public ClassRecord $record, public ClassFindings $findings)
    {
        $found = $findings->found;
        $told = array_values(array_filter($found->effects, static fn(Effect $effect): bool => in_array(
            $found->claims->verdict($effect),
            [Answer::More, Answer::Less, Answer::HardlyMatters, Answer::Hint],
            true,
        )));
        $this->effect = $found->question === null ? $told[0] ?? null : $found->asked;
        $this->figure = $this->effect === null ? null : new AnswerFigure($record, $findings, $this->effect);
    }
}
