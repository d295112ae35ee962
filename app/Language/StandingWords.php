<?php

declare(strict_types=1);

namespace App\Language;

use App\Models\Challenge;
use App\Record\ClassLine;
use App\Record\ClassRecord;
use Skivo\Core\Challenge\Award;
use Skivo\Core\Challenge\Goal;
use Skivo\Core\Challenge\Scoring;
use Skivo\Core\Challenge\Standing;
use Skivo\Core\Challenge\Standings;
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
        $parts[] = $tries === 1 ? Text::of('run.standing_words.one_try') : match ($challenge->scoring) {
            Scoring::Best => Text::of('run.standing_words.best_of_tries', ['tries' => $tries]),
            Scoring::Mean => Text::of('run.standing_words.mean_of_tries', ['tries' => $tries]),
            Scoring::Median => Text::of('run.standing_words.median_of_tries', ['tries' => $tries]),
        };
        $parts[] = Text::of('run.standing_words.lane', ['si' => $units->show($challenge->lane_length->quantity->si(), Scale::Lane)]);
        if ($challenge->surface !== null) {
            $parts[] = $challenge->surface;
        }

        return implode(' · ', $parts);
    }

    public static function goal(Challenge $challenge): string
    {
        return implode(
            ', ',
            array_map(static fn(Award $award): string => GoalWords::award($award, $challenge->units), $challenge->allAwards()),
        );
    }

    /** @return list<Sentence> */
    public function soFar(): array
    {
        if ($this->record->groups->isEmpty()) {
            return [
                new Sentence(Text::of('run.standing_words.no_groups_yet'), Text::of('run.standing_words.add_them_under_build_then_their')),
            ];
        }
        $sentences = [];
        $leader = $this->record->standings()->leader();
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
                $said[] = new Sentence(
                    $title,
                    GoalWords::needs($award->goal) === null
                        ? Text::of('run.standing_words.no_try_yet')
                        : Text::of('run.standing_words.no_try_has_yet', ['goal' => trim((string) GoalWords::needs($award->goal), ',')]),
                );
                continue;
            }
            $close = $standings->tooCloseToLeader();
            $said[] = new Sentence(
                $title,
                Text::of(
                    'run.standing_words.with',
                    [
                        'first' => Lists::and(
                            array_map(static fn(Standing $place): string => $names[$place->entrant->id] ?? '', $first),
                        ),
                        'leads' => Text::of(count($first) > 1 ? 'run.standing_words.tie'
                                                   : 'run.standing_words.leads'),
                        'score' => ReachWords::said(
                            $first[0]->reach,
                            $award,
                            $this->record->challenge->scoring,
                            $this->record->challenge->units,
                        ),
                        'close' => $close === [] ? ''
                                                   : ' ' . Text::of(
                                                       'run.standing_words.too_close_to_call_against',
                                                       ['close' => Lists::and($this->names($close))],
                                                   ),
                    ],
                ),
            );
        }

        return $said;
    }

    private function nothingCountsYet(): Sentence
    {
        $needs = GoalWords::needs($this->record->challenge->goal);

        return $needs !== null && $this->record->countedTries() > 0
            ? new Sentence(
                Text::of('run.standing_words.nothing_to_rank_yet'),
                Text::of('run.standing_words.the_standings_need_of_at_least', ['needs' => $needs]),
            )
            : new Sentence(Text::of('run.standing_words.nothing_has_run_yet'), Text::of('run.standing_words.log_the_first_run_at_the'));
    }

    private function lead(Standing $leader): Sentence
    {
        $goal = $this->record->challenge->goal;
        $score = ReachWords::said(
            $leader->reach,
            $this->record->challenge->mainAward(),
            $this->record->challenge->scoring,
            $this->record->challenge->units,
        );
        $tied = array_values(array_filter($this->record->lines(), static fn(ClassLine $line): bool => $line->standing->rank === 1));
        if (count($tied) > 1) {
            return new Sentence(
                Text::of('run.standing_words.names_tie', ['names' => Lists::and(array_map(self::name(...), $tied))]),
                Text::of('run.standing_words.at', ['score' => $score]),
            );
        }
        $second = $this->record->lines()[1] ?? null;
        $isBound = $leader->reach?->isBound === true || $second?->standing->reach?->isBound === true;
        $ahead = $second?->standing->score === null || $isBound
            ? null
            : $this->record->challenge->units->figure(abs((float) $leader->score - $second->standing->score), $goal->scale());
        $by = $second === null || $ahead === null || (float) $ahead === 0.0
            ? Text::of(
                'run.standing_words.with_2',
                [
                    'score' => $score, 'ahead' => $ahead === null
                        ? ''
                        : Text::of('run.standing_words.by_less_than_the_tape_shows', ['second' => self::name($second)]),
                ],
            )
            : Text::of(
                'run.standing_words.with_3',
                [
                    'score' => $score,
                    'ahead' => $this->record->challenge->units->show(
                        abs((float) $leader->score - $second->standing->score),
                        $goal->scale(),
                    ),
                    'than' => $goal === Goal::Farthest ? Text::of('run.standing_words.ahead_of')
                                           : Text::of('run.standing_words.than', ['better' => GoalWords::better($goal)]),
                    'second' => self::name($second),
                ],
            );

        return new Sentence(Text::of('run.standing_words.name_leads', ['name' => self::name($tied[0])]), "{$by}.");
    }

    /** @return list<Sentence> */
    private function howSure(Standing $leader): array
    {
        $standings = $this->record->standings();
        $others = array_filter($standings->places, static fn(Standing $place): bool => $place->againstLeader !== null);
        if ($others === []) {
            return [];
        }
        $name = $this->namesById()[$leader->entrant->id] ?? '';
        if ($standings->scatter === null) {
            return [
                new Sentence(
                    Text::of('run.standing_words.one_try_no_spread_yet'),
                    Text::of('run.standing_words.until_a_car_has_a_second_try'),
                ),
            ];
        }
        $close = $this->names($standings->tooCloseToLeader());
        $said = [
            $close === []
                ? new Sentence(
                    Text::of('run.standing_words.clearly', ['goal' => GoalWords::better($this->record->challenge->goal)]),
                    Text::of('run.standing_words.than_every_other_car_at_95'),
                    $this->oneTry($standings),
                )
                : new Sentence(
                    Text::of('run.standing_words.too_close_to_call'),
                    Text::of('run.standing_words.could_be_as_good_as', ['close' => Lists::and($close), 'name' => $name]),
                    $this->oneTry($standings),
                ),
        ];
        if ($close !== [] && $this->record->challenge->scoring !== Scoring::Mean) {
            $said[] = new Sentence(
                '',
                '',
                Text::of(
                    'run.standing_words.the_decides_the_places_closeness_is',
                    ['scoring' => Label::of($this->record->challenge->scoring)],
                ),
            );
        }

        return $said;
    }

    /** Where cars have a single try: whose spread they are judged by. */
    private function oneTry(Standings $standings): string
    {
        $once = $this->names(array_values(array_filter(
            $standings->places,
            static fn(Standing $place): bool => $place->sample?->n === 1,
        )));

        return $once === []
            ? ''
            : Text::of('run.standing_words.one_try_judged_by_the_spread', ['groups' => Lists::and($once)]);
    }

    private function progress(): Sentence
    {
        $void = $this->record->voidTries();
        $in = $this->record->countedTries();
        $all = $this->record->triesInAll();

        $waiting = array_values($this->record->groups
            ->reject(fn($group): bool => $this->record->tries($group->currentCar())->areComplete())
            ->map(static fn($group): string => mb_strimwidth($group->name, 0, 32, '…'))->all());
        $said = Text::plural('run.standing_words.of_tries_are_in', $all, ['in' => $in, 'which' => match ($void) {
            0 => '.',
            1 => Text::of('run.standing_words.1_was_void'),
            default => Text::of('run.standing_words.were_void', ['void' => $void]),
        }]);

        return new Sentence(
            '',
            '',
            $waiting === [] || $in === 0
                ? $said
                : Text::of('run.standing_words.still_to_run', ['said' => $said, 'waiting' => Lists::and($waiting)]),
        );
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
        foreach ($this->record->lines() as $line) {
            $names[$line->standing->entrant->id] = self::name($line);
        }

        return $names;
    }

    private static function name(ClassLine $line): string
    {
        return mb_strimwidth($line->group->name, 0, 32, '…');
    }
}
