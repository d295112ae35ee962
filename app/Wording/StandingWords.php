<?php

declare(strict_types=1);

namespace App\Wording;

use App\Models\Challenge;
use App\Reading\ClassLine;
use App\Reading\ClassRecord;
use Skivo\Core\Challenge\Award;
use Skivo\Core\Challenge\Goal;
use Skivo\Core\Challenge\Scoring;
use Skivo\Core\Challenge\Standing;
use Skivo\Core\Measurement\Scale;

/** Where a class stands, in words first. */
final readonly class StandingWords
{
    public function __construct(private ClassRecord $record) {}

    /** The rule in a line, as in "Farthest · mean of 3 tries · lane 6 m · varnished wood". */
    public static function rule(Challenge $challenge): string
    {
        $units = $challenge->units;
        $parts = [self::goal($challenge)];
        $tries = $challenge->tries;
        $parts[] = $tries === 1 ? '1 try' : match ($challenge->scoring) {
            Scoring::Best => "best of {$tries} tries",
            Scoring::Mean => "mean of {$tries} tries",
            Scoring::Median => "median of {$tries} tries",
        };
        $parts[] = 'lane ' . $units->show($challenge->lane_length->quantity->si(), Scale::Lane);
        if ($challenge->surface !== null) {
            $parts[] = $challenge->surface;
        }

        return implode(' · ', $parts);
    }

    public static function goal(Challenge $challenge): string
    {
        return implode(', ', array_map(static fn(Award $award): string => GoalWords::award($award, $challenge->units), $challenge->allAwards()));
    }

    /** @return list<Sentence> */
    public function soFar(): array
    {
        if ($this->record->groups->isEmpty()) {
            return [new Sentence('No groups yet.', 'Add them under Build; then their runs can be logged here.')];
        }
        $sentences = [];
        $leader = $this->record->standings->leader();
        if ($leader === null) {
            $sentences[] = $this->nothingCountsYet();
        } else {
            $sentences[] = $this->lead($leader);
            array_push($sentences, ...$this->howSure($leader));
        }
        array_push($sentences, ...$this->otherAwards());
        $sentences[] = $this->progress();

        return $sentences;
    }

    /** @return list<Sentence> who leads for each award beyond the first */
    private function otherAwards(): array
    {
        $said = [];
        $names = $this->namesById();
        foreach (array_slice($this->record->challenge->allAwards(), 1) as $award) {
            $standings = $this->record->standingsFor($award);
            $first = array_values(array_filter($standings->places, static fn(Standing $place): bool => $place->rank === 1));
            $title = GoalWords::award($award, $this->record->challenge->units) . ':';
            if ($first === []) {
                $said[] = new Sentence($title, GoalWords::needs($award->goal) === null ? 'no try yet.' : 'no try has ' . trim((string) GoalWords::needs($award->goal), ',') . ' yet.');
                continue;
            }
            $close = $standings->tooCloseToLeader();
            $said[] = new Sentence(
                $title,
                Lists::and(array_map(static fn(Standing $place): string => $names[$place->entrant->id] ?? '', $first)) . (count($first) > 1 ? ' tie' : ' leads')
                    . ', with ' . $this->record->challenge->units->show((float) $first[0]->score, $award->goal->scale()) . '.'
                    . ($close === [] ? '' : ' Too close to call against ' . Lists::and($this->names($close)) . '.'),
            );
        }

        return $said;
    }

    private function nothingCountsYet(): Sentence
    {
        $needs = GoalWords::needs($this->record->challenge->goal);

        return $needs !== null && $this->record->countedTries() > 0
            ? new Sentence('Nothing to rank yet.', "The standings need {$needs} of at least one try.")
            : new Sentence('Nothing has run yet.', 'Log the first run at the foot of the page.');
    }

    private function lead(Standing $leader): Sentence
    {
        $goal = $this->record->challenge->goal;
        $score = $this->record->challenge->units->show((float) $leader->score, $goal->scale());
        $tied = array_values(array_filter($this->record->lines, static fn(ClassLine $line): bool => $line->standing->rank === 1));
        if (count($tied) > 1) {
            return new Sentence(Lists::and(array_map(self::name(...), $tied)) . ' tie', "at {$score}.");
        }
        $second = $this->record->lines[1] ?? null;
        $ahead = $second?->standing->score === null ? null : $this->record->challenge->units->figure(abs((float) $leader->score - $second->standing->score), $goal->scale());
        $by = $second === null || $ahead === null || (float) $ahead === 0.0
            ? "with {$score}" . ($ahead === null ? '' : ', by less than the tape shows before ' . self::name($second))
            : "with {$score}, " . $this->record->challenge->units->show(abs((float) $leader->score - $second->standing->score), $goal->scale())
                . ($goal === Goal::Farthest ? ' ahead of ' : ' ' . GoalWords::better($goal) . ' than ') . self::name($second);

        return new Sentence(self::name($tied[0]) . ' leads', "{$by}.");
    }

    /** @return list<Sentence> */
    private function howSure(Standing $leader): array
    {
        $standings = $this->record->standings;
        $others = array_filter($standings->places, static fn(Standing $place): bool => $place->againstLeader !== null);
        if ($others === []) {
            return [];
        }
        $name = $this->namesById()[$leader->entrant->id] ?? '';
        if (($leader->sample->n ?? 0) < 2) {
            return [new Sentence('One try: no spread yet.', "Until {$name} has a second try, nothing tells luck from a better car.")];
        }
        $close = $this->names($standings->tooCloseToLeader());
        $unjudged = $this->names($standings->notJudgedYet());
        $said = [];
        if ($close !== [] && $standings->classDiffers === false && count($others) > 1) {
            $said[] = new Sentence('Too close to call:', Lists::and($close) . " could be as good as {$name}.", 'Taken together, the cars differ no more than tries of one car do (one-way analysis of variance, 5 %).');
        } elseif ($close !== []) {
            $verb = count($close) === 1 ? 'its tries overlap' : 'their tries overlap';
            $said[] = new Sentence('Too close to call:', Lists::and($close) . " could be as good as {$name}; {$verb} at 95 %.");
        }
        if ($unjudged !== []) {
            $said[] = new Sentence('Not judged yet:', Lists::and($unjudged) . (count($unjudged) === 1 ? ' has' : ' have') . ' one try, so no spread.');
        }
        if ($close === [] && $unjudged === []) {
            $said[] = new Sentence('Clearly ' . GoalWords::better($this->record->challenge->goal), 'than every other car, at 95 %.');
        }
        if ($close !== [] && $this->record->challenge->scoring !== Scoring::Mean) {
            $said[] = new Sentence('', '', 'The ' . $this->record->challenge->scoring->value . ' decides the places; closeness is judged on the means.');
        }

        return $said;
    }

    private function progress(): Sentence
    {
        $void = $this->record->voidTries();
        $in = $this->record->countedTries();
        $all = $this->record->triesInAll();

        $waiting = array_values($this->record->groups
            ->reject(fn($group): bool => $this->record->tries($group->currentCar())->areComplete())
            ->map(static fn($group): string => mb_strimwidth($group->name, 0, 32, '…'))->all());
        $said = "{$in} of {$all} tries are in" . match ($void) {
            0 => '.',
            1 => '; 1 was void.',
            default => "; {$void} were void.",
        };

        return new Sentence('', '', $waiting === [] || $in === 0 ? $said : "{$said} Still to run: " . Lists::and($waiting) . '.');
    }

    /**
     * @param list<Standing> $standings
     *
     * @return list<string>
     */
    private function names(array $standings): array
    {
        $names = $this->namesById();

        return array_map(static fn(Standing $standing): string => $names[$standing->entrant->id] ?? '', $standings);
    }

    /** @return array<string, string> */
    private function namesById(): array
    {
        $names = [];
        foreach ($this->record->lines as $line) {
            $names[$line->standing->entrant->id] = self::name($line);
        }

        return $names;
    }

    private static function name(ClassLine $line): string
    {
        return mb_strimwidth($line->group->name, 0, 32, '…');
    }
}
