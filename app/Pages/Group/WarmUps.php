<?php

declare(strict_types=1);

namespace App\Pages\Group;

use App\Record\ClassFindings;
use Skivo\Core\Findings\Answer;
use Skivo\Core\Findings\Findings;
use Skivo\Core\Findings\Outcome;
use Skivo\Core\Forecast\Direction;
use Skivo\Core\Forecast\WarmUp;
use Skivo\Core\Simulation\BeyondModelException;
use Skivo\Core\Simulation\CarModel;

/**
 * The questions about the class's own kit: what a group answered, and what the simulated run says once it did; where the
 * class's own cars can say it, theirs is the word that counts.
 */
final readonly class WarmUps
{
    /** So many are asked. */
    private const ASKED = 3;

    /**
     * @param list<array{question: WarmUp, answer: Direction|null, before: float, after: float, class: Direction|null, truth: Direction}> $rows
     */
    private function __construct(public array $rows) {}

    public static function of(GroupsOwnPath $own): self
    {
        $challenge = $own->record->challenge;
        try {
            $kit = CarModel::of(
                $own->plan->kitCar(),
                $challenge->catalogue(),
                $challenge->surface,
                $challenge->air_temperature_c,
                $challenge->pumpCurve(),
            );
        } catch (BeyondModelException) {
            return new self([]);
        }
        $rows = [];
        $answered = $own->warmUps();
        $found = ClassFindings::of($own->record)->found;
        foreach (WarmUp::answers($kit, $found->forecast->usual()) as $key => [$before, $after]) {
            $class = self::ofTheClass(WarmUp::from($key), $found);
            $rows[] = [
                'question' => WarmUp::from($key),
                'answer' => Direction::tryFrom($answered[$key] ?? ''),
                'before' => $before,
                'after' => $after,
                'class' => $class,
                'truth' => $class ?? WarmUp::direction($before, $after),
            ];
        }
        // Not every group is asked the same, so that they have something to tell each other; but always the same ones.
        $from = $rows === [] ? 0 : $own->group->position % count($rows);

        return new self(array_slice([...array_slice($rows, $from), ...array_slice($rows, 0, $from)], 0, self::ASKED));
    }

    /** What the class's cars say of it, where that holds. */
    private static function ofTheClass(WarmUp $question, Findings $found): ?Direction
    {
        foreach ($found->effects as $effect) {
            if ($effect->factor === $question->attribute() && $effect->outcome === Outcome::Distance && $effect->from === null) {
                return match ($found->claims->verdict($effect)) {
                    Answer::More => Direction::Farther,
                    Answer::Less => Direction::LessFar,
                    Answer::HardlyMatters => Direction::Same,
                    default => null,
                };
            }
        }

        return null;
    }
}
