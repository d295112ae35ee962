<?php

declare(strict_types=1);

namespace App\Wording;

use App\Models\Car;
use App\Models\Group;
use App\Reading\ClassFindings;
use App\Reading\ClassRecord;
use App\Reading\Counting;
use Skivo\Core\Findings\ComparedCar;
use Skivo\Core\Findings\Effect;
use Skivo\Core\Findings\Factor;
use Skivo\Core\Findings\FairPair;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Statistics\Interval;
use Skivo\Core\Statistics\Verdict;

/** What a class found out, in words first; every claim with the cars behind it. */
final readonly class FindingWords
{
    /** So many effects looked at are no longer few: by chance alone one of twenty looks clear. */
    private const MANY = 4;

    private UnitSystem $units;

    /** @var array<int, array{Group, Car}> by the id of the car */
    public array $cars;

    public function __construct(private ClassRecord $record, private ClassFindings $findings)
    {
        $this->units = $record->challenge->units;
        $cars = [];
        foreach ($record->groups as $group) {
            foreach ($group->cars as $car) {
                $cars[$car->id] = [$group, $car];
            }
        }
        $this->cars = $cars;
    }

    /** As in "Reef, version 2". */
    public function name(int|string $car): string
    {
        [$group, $model] = $this->cars[(int) $car] ?? [null, null];

        return $group === null || $model === null ? 'a car' : $group->name . ($group->cars->count() > 1 ? ", version {$model->version}" : '');
    }

    /** What the page says first. */
    public function headline(): Sentence
    {
        $cars = count($this->findings->cars);
        if ($cars < 3) {
            return new Sentence($cars === 0 ? 'Nothing to say yet.' : ($cars === 1 ? 'One car makes no finding.' : 'Two cars make no finding.'), $cars === 0
                ? 'Findings need cars with tries that count: log the first runs, and record what each group chose.'
                : 'Two points always lie on a line. It takes three cars at least, better six, and pairs that differ in one choice only.');
        }
        $clear = array_values(array_filter($this->findings->effects, static fn(Effect $effect): bool => $effect->isClear()));
        if ($clear !== []) {
            return $this->effect($clear[0]);
        }
        $confounded = $this->findings->confounded[0] ?? null;
        if ($confounded !== null) {
            return new Sentence('These cars can’t tell what mattered.', ucfirst("{$confounded->one->label()} and {$confounded->other->label()} go along with each other here, so either could be the cause. The next test takes them apart."));
        }

        return new Sentence('Nothing is clear yet.', $this->findings->effects === []
            ? 'No two cars differ in one choice only. A fair pair needs one car that is built like another but for one thing; rebuilding one thing on a car makes one at once.'
            : 'The fair pairs there are don’t agree closely enough, or are too few.');
    }

    /** As in "A wider bore went farther in 4 of 5 fair pairs, by 38 cm on average (12 to 64)." */
    public function effect(Effect $effect): Sentence
    {
        $pairs = count($effect->pairs);
        $kinds = $effect->from !== null && $effect->to !== null;
        $more = $effect->mean >= 0.0;
        [$winner, $loser] = $kinds
            ? [FactorWords::value($effect->factor, $more ? $effect->to : $effect->from, $this->units), FactorWords::value($effect->factor, $more ? $effect->from : $effect->to, $this->units)]
            : [FactorWords::one($effect->factor, $more), null];
        $ahead = $more ? $effect->ahead : $pairs - $effect->ahead;
        $by = $this->distance(abs($effect->mean));
        $interval = $this->interval($effect->interval, $more);
        if (!$effect->isPooled()) {
            $pair = $effect->pairs[0];
            $judged = match ($effect->verdict) {
                Verdict::ClearlyApart => 'Their tries tell them apart',
                Verdict::TooCloseToCall => 'Their tries can’t tell them apart',
                Verdict::NoSpreadYet => 'One of them has a single try',
            };

            return new Sentence(
                ucfirst($effect->factor->label()) . ': one fair pair.',
                "{$this->name($more ? $pair->more->id : $pair->less->id)} went {$by} farther than {$this->name($more ? $pair->less->id : $pair->more->id)}{$interval}, with " . ($kinds ? "{$winner} instead of {$loser}" : $winner)
                    . ". {$judged}; two cars make no finding about the choice.",
            );
        }
        $against = $loser === null ? '' : " than {$loser}";

        return $effect->isClear()
            ? new Sentence(ucfirst($winner) . " went farther{$against}", "in {$ahead} of {$pairs} fair pairs, by {$by} on average{$interval}.")
            : new Sentence('No clear effect of ' . $effect->factor->label() . '.', ucfirst($winner) . " went farther{$against} in {$ahead} of {$pairs} fair pairs, by {$by} on average{$interval}: too close to call.");
    }

    /** @return list<array{Sentence, list<string>}> each effect with the cars behind it */
    public function effects(): array
    {
        return array_map(fn(Effect $effect): array => [
            $this->effect($effect),
            $this->behind($effect),
        ], $this->findings->effects);
    }

    /** That many effects were looked at; null where they are few. */
    public function manyLookedAt(): ?string
    {
        $pooled = count(array_filter($this->findings->effects, static fn(Effect $effect): bool => $effect->isPooled()));

        return $pooled < self::MANY ? null : "{$pooled} choices were looked at. Where nothing matters, one in twenty looks clear by chance: believe most what was expected before, and test the rest again.";
    }

    /** The choices that every class makes and that no fair pair here speaks of; null where there is none. */
    public function notJudged(): ?Sentence
    {
        $judged = array_map(static fn(Effect $effect): Factor => $effect->factor, $this->findings->effects);
        $same = $open = [];
        foreach ([Factor::NozzleBore, Factor::BalloonSize, Factor::Mass, Factor::WheelDiameter, Factor::Surface] as $factor) {
            if (in_array($factor, $judged, true)) {
                continue;
            }
            $values = array_unique(array_filter(array_map(static fn(ComparedCar $car): string => (string) $factor->of($car->choices), $this->findings->cars), static fn(string $value): bool => $value !== ''));
            if (count($values) > 1) {
                $open[] = $factor->label();
            } else {
                $same[] = $factor->label();
            }
        }
        $said = array_filter([
            $open === [] ? null : 'no two cars differ in ' . str_replace(' and ', ' or ', Lists::and($open, 9)) . ' alone',
            $same === [] ? null : Lists::and($same, 9) . ' ' . (count($same) === 1 ? 'is' : 'are') . ' the same on every car, or not on record',
        ]);

        return $said === [] ? null : new Sentence('Not judged:', implode('; ', $said) . '.');
    }

    /** @return list<Sentence> what goes along with what, and so can't be told apart */
    public function confounded(): array
    {
        $said = [];
        foreach (array_slice($this->findings->confounded, 0, 4) as $pair) {
            $said[] = new Sentence(ucfirst($pair->one->label()) . ' and ' . $pair->other->label(), 'go along with each other: ' . number_format(100 * $pair->share) . ' % of the one is the other’s. Their effects can’t be told apart.');
        }

        return $said;
    }

    public function severalFactors(): ?Sentence
    {
        $several = $this->findings->several;
        if (count($several->factors) < 2) {
            return null;
        }
        $names = Lists::and(array_map(static fn(Factor $factor): string => $factor->label(), $several->factors), 9);
        if ($several->isSeparable()) {
            $clear = [];
            foreach ($several->factors as $index => $factor) {
                if (!$several->intervals[$index]->contains(0.0)) {
                    $clear[] = FactorWords::one($factor, $several->slopes[$index] > 0.0);
                }
            }

            return new Sentence('All at once:', $clear === [] ? "with {$names} in one regression over {$several->cars} cars, none is clear." : "with {$names} in one regression over {$several->cars} cars, " . Lists::and($clear) . ' went farther, the others held. Weaker than fair pairs: what nobody recorded is not held.');
        }
        if ($several->confounded !== null) {
            return new Sentence('All at once:', "a regression over {$names} is no use here, since {$several->confounded[0]->label()} and {$several->confounded[1]->label()} can’t be told apart.");
        }

        return new Sentence('All at once:', "{$names} vary, more than {$several->cars} cars with all of them on record can tell apart" . ($several->carsMissing() > 0 ? "; it would take {$several->carsMissing()} more" : '') . '.');
    }

    public function nextTest(): ?Sentence
    {
        $next = $this->findings->next;
        if ($next === null) {
            return null;
        }
        $expected = $this->findings->nextExpectedM;
        $why = $next->confoundedWith === null
            ? "No fair pair settles {$next->factor->label()} yet."
            : "That takes {$next->factor->label()} and {$next->confoundedWith->label()} apart best.";

        return new Sentence(
            "Next fair test: {$this->name($next->car->id)} changes {$next->factor->label()}",
            'from ' . FactorWords::value($next->factor, $next->from, $this->units) . ' to ' . FactorWords::value($next->factor, $next->to, $this->units) . ", and nothing else. {$why}"
                . ($expected === null ? '' : ' The model expects it to go ' . ($expected >= 0.0 ? "{$this->distance($expected)} farther." : "{$this->distance(-$expected)} less far.")),
        );
    }

    /** @return list<string> the cars behind an effect */
    public function behind(Effect $effect): array
    {
        return array_merge(...array_map(static fn(FairPair $pair): array => [$pair->less->id, $pair->more->id], $effect->pairs));
    }

    /** @return list<string> the cars behind what the page says first */
    public function behindHeadline(): array
    {
        foreach ($this->findings->effects as $effect) {
            if ($effect->isClear()) {
                return $this->behind($effect);
            }
        }

        return array_map(static fn(ComparedCar $car): string => $car->id, $this->findings->cars);
    }

    /** @return list<array{Sentence, list<string>}> */
    public function outliers(): array
    {
        $said = [];
        foreach ($this->findings->outliers as $car => $odd) {
            foreach ($odd as $outlier) {
                $said[] = [new Sentence("One try of {$this->name($car)} lies far from its others:", "{$this->distance($outlier->value)}. " . ($this->findings->counting === Counting::WithoutOutliers ? 'It is left out below.' : 'It counts all the same.'), 'Studentized residual ' . number_format($outlier->t, 1) . ', beyond ±' . number_format($outlier->critical, 1) . ' for the scatter and the number of this class’s tries (5 %).'), [(string) $car]];
            }
        }

        return $said;
    }

    /** How the void tries are treated here; null where none has a distance. */
    public function voids(): ?string
    {
        $void = $this->findings->voidMeasured;
        $tries = $void === 1 ? 'One void try was measured' : "{$void} void tries were measured";

        return $void === 0 ? null : $tries . ($this->findings->counting === Counting::WithVoid ? ', and ' . ($void === 1 ? 'is' : 'are') . ' in here.' : ', and left out by the rule.');
    }

    /** The cars that the class figure leaves out, and why; null where it has all. */
    public function notDrawn(): ?string
    {
        $missing = array_values(array_filter($this->findings->cars, fn(ComparedCar $car): bool => $this->findings->ratioOf((int) $car->id) === null));
        $names = Lists::and(array_map(fn(ComparedCar $car): string => $this->name($car->id), $missing), 9);

        return $missing === [] ? null : 'Not drawn: ' . $names . '. ' . (count($missing) === 1 ? 'By the model it' : 'By the model they') . ' would not start at all, so thrust over resistance is not known. Measure friction, or check bore, balloon and mass on the build sheet.';
    }

    public function distance(float $metres): string
    {
        return $this->units->show($metres, Scale::Distance);
    }

    /** As in " (12 to 64)"; turned round where less of it went farther. */
    public function interval(?Interval $interval, bool $more): string
    {
        if ($interval === null) {
            return '';
        }
        [$low, $high] = $more ? [$interval->low, $interval->high] : [-$interval->high, -$interval->low];
        $figure = fn(float $metres): string => str_replace('-', '−', $this->units->figure($metres, Scale::Distance));

        return " ({$figure($low)} to {$figure($high)})";
    }
}
