<?php

declare(strict_types=1);

namespace App\Pages\Race;

use App\Language\Label;
use App\Language\Lists;
use App\Language\Text;
use App\Models\Group;
use App\Models\RaceEvent;
use App\Record\ClassRecord;
use App\Record\RaceReading;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Race\EventKind;
use Skivo\Core\Race\Heat;
use Skivo\Core\Race\RaceChances;
use Skivo\Core\Race\RaceKind;

/** What is said of races and their heats. */
final readonly class RaceWords
{
    /** Chances from here on are told as nearly even. */
    private const NEARLY_EVEN = 0.42;

    /** The rule of a race in one line, as in "Knockout: first across 3 m goes on". */
    public static function rule(RaceReading $reading): string
    {
        $race = $reading->race;
        $key = $race->length === null ? 'race.rule.farther' : 'race.rule.across';

        return Text::of($race->best_of === 3 ? "{$key}_of_three" : $key, [
            'kind' => Label::of($race->kind),
            'length' => $race->length === null ? '' : $race->challenge->units->show($race->length->quantity->si(), Scale::Lane),
            'goes_on' => Text::of("race.rule.{$race->kind->value}"),
        ]);
    }

    /** How its order came about. */
    public static function order(RaceReading $reading): string
    {
        return $reading->race->lot === null ? Text::of('race.rule.seeded') : Text::of('race.rule.drawn', ['lot' => $reading->race->lot]);
    }

    /** Above the buttons of a heat, as in "Heat 3: who was first across?". */
    public static function question(RaceReading $reading, Heat $heat): string
    {
        $run = $heat->winsA + $heat->winsB + $heat->again;

        return Text::of(
            $reading->race->length === null ? 'race.heat.who_went_farther' : 'race.heat.who_was_first',
            ['heat' => self::heat($reading, $heat)],
        )
            . (
                $reading->race->best_of === 3
                && $run > 0 ? ' ' . Text::of('race.heat.stands', ['a' => $heat->winsA, 'b' => $heat->winsB]) : ''
            );
    }

    public static function heat(RaceReading $reading, Heat $heat): string
    {
        return Text::of(
            $reading->race->kind !== RaceKind::SideBySide
                && $heat->round === $reading->rounds()
                && count($reading->round($heat->round)) === 1
                ? 'race.heat.last'
                : 'race.heat.number',
            ['number' => $reading->number($heat)],
        );
    }

    /** Below a heat: when it is run, or how it came out. */
    public static function note(RaceReading $reading, Heat $heat): string
    {
        $name = self::heat($reading, $heat);
        $lane = $reading->lanes($heat);
        $before = $reading->state->before($heat);
        $more = match (true) {
            $heat->isOff => Text::of('race.heat.off'),
            $heat->isWalkover => Text::of('race.heat.walkover'),
            $heat->winner !== null => $reading->race->best_of === 3
                ? Text::of('race.heat.ended', ['a' => $heat->winsA, 'b' => $heat->winsB])
                : '',
            $heat->isOpen() && self::mends($reading, $heat) !== null => self::mends($reading, $heat),
            $reading->isNow($heat) => $lane === null
                ? Text::of('race.heat.now')
                : Text::of('race.heat.now_on', ['one' => $lane, 'other' => $lane + 1]),
            $before !== null => $before === 1 ? Text::of('race.heat.next') : Text::of('race.heat.after', ['count' => $before]),
            default => '',
        };

        return $more === '' ? $name : Text::of('race.heat.and', ['heat' => $name, 'more' => $more])
            . ($heat->again > 0 && $heat->winner === null ? ' ' . Text::of('race.heat.again') : '');
    }

    /** How far it is, as in "3 of 8 heats done." */
    public static function progress(RaceReading $reading): string
    {
        $heats = array_filter($reading->state->heats, static fn(Heat $heat): bool => !$reading->isBye($heat) && !$heat->isOff);
        $done = array_filter($heats, static fn(Heat $heat): bool => $heat->winner !== null);

        return Text::of('race.index.heats_done', ['done' => count($done), 'all' => count($heats)]);
    }

    /** How many cars there is time for, all against all. */
    public static function allFit(RaceOffer $offer): string
    {
        return strtr(Text::plural('race.fits.all', $offer->mostForAll()), [':minutes' => (string) $offer->minutes]);
    }

    /** So many minutes, in hours where there are many. */
    public static function duration(float $minutes): string
    {
        $whole = (int) ceil($minutes);

        return $whole < 90 ? Text::of('race.fits.minutes', ['minutes' => $whole])
            : Text::of('race.fits.hours', ['hours' => intdiv($whole, 60), 'minutes' => $whole % 60]);
    }

    /** A heat in one line, as in "Heat 3: Thimble beat Fender". */
    public static function line(RaceReading $reading, Heat $heat): string
    {
        return Text::of(match (true) {
            $heat->isOff => 'race.heat.pair_off',
            $heat->winner !== null => 'race.heat.pair_won',
            default => 'race.heat.pair',
        }, [
            'heat' => self::heat($reading, $heat), 'a' => $reading->name($heat->winner ?? $heat->a),
            'b' => $reading->name($heat->loser() ?? $heat->b),
        ]);
    }

    /** Who will stand where nobody is known yet. */
    public static function comesFrom(RaceReading $reading, Heat $heat, bool $isFirst): string
    {
        [$round, $place] = array_map(intval(...), explode('-', $heat->key));
        $from = match ($reading->race->kind) {
            RaceKind::Knockout => $reading->heat($round - 1, 2 * $place - ($isFirst ? 1 : 0)),
            RaceKind::StaysOn => $isFirst ? $reading->heat($round - 1, 1) : null,
            default => null,
        };

        return $from === null ? Text::of('race.heat.empty') : Text::of('race.heat.winner_of', ['number' => $reading->number($from)]);
    }

    /** Who is repairing before a heat; null where nobody is. */
    public static function mends(RaceReading $reading, Heat $heat): ?string
    {
        $repairs = array_values(
            array_filter([$heat->a, $heat->b], static fn(?string $entrant): bool => in_array($entrant, $reading->state->repairing, true)),
        );

        return $repairs === [] ? null : Text::of('race.heat.repairs', ['group' => $reading->name($repairs[0])]);
    }

    /** What a group's own page says of the race that is on; null where it is not in it. */
    public static function own(RaceReading $reading, string $group): ?string
    {
        $state = $reading->state;
        if (!in_array($group, $state->plan->entrants, true)) {
            return null;
        }
        $next = $state->nextOf($group);
        $before = $next === null ? null : $state->before($next);
        $other = $next === null ? '' : $reading->name($next->a === $group ? $next->b : $next->a);

        return match (true) {
            $state->winner === $group => Text::of('race.own.won'),
            in_array($group, $state->out, true) => Text::of('race.own.out'),
            in_array($group, $state->repairing, true) => Text::of('race.own.repairs'),
            $next !== null && $reading->isNow($next) => Text::of('race.own.now', ['other' => $other]),
            $next !== null => strtr(
                Text::plural('race.own.before', max(1, (int) $before)),
                [':other' => $other, ':count' => (string) $before],
            ),
            $reading->isIn($group) => Text::of('race.own.waits'),
            isset($state->places[$group]) => Text::of('race.own.done', ['place' => $state->places[$group]]),
            default => Text::of('race.own.done_no_place'),
        };
    }

    /** What was tapped, as in "Heat 3: Thimble beat Fender". */
    public static function said(RaceReading $reading, RaceEvent $event): string
    {
        $heat = $reading->state->heats[$event->heat ?? ''] ?? null;
        [$entrant, $against] = [
            $reading->name($event->entrant === null ? null : (string) $event->entrant),
            $reading->name($event->against === null ? null : (string) $event->against),
        ];
        $of = ['heat' => $heat === null ? '' : self::heat($reading, $heat), 'group' => $entrant, 'other' => $against];
        $undone = $event->kind === EventKind::Undone ? $reading->race->events->firstWhere('event_id', $event->undoes) : null;

        return match ($event->kind) {
            EventKind::Won => Text::of($event->why === 'broke' ? 'race.said.broke' : 'race.said.won', $of),
            EventKind::Again => Text::of($event->why === 'neither' ? 'race.said.neither' : 'race.said.together', $of),
            EventKind::Undone => $undone === null ? Text::of('race.said.undone', ['what' => '–'])
                : Text::of(
                    $undone->kind === EventKind::Undone ? 'race.said.put_back' : 'race.said.undone',
                    ['what' => self::undone($reading, $undone)],
                ),
            default => Text::of("race.said.{$event->kind->value}", $of),
        };
    }

    /** Of what was taken back, however often. */
    private static function undone(RaceReading $reading, RaceEvent $event): string
    {
        while ($event->kind === EventKind::Undone && ($before = $reading->race->events->firstWhere('event_id', $event->undoes)) !== null) {
            $event = $before;
        }

        return self::said($reading, $event);
    }

    public static function movedOn(RaceReading $reading, ?Heat $heat): string
    {
        return match (true) {
            $heat === null => Text::of('race.form.this_page_is_old'),
            $heat->winner !== null => Text::of(
                'race.form.has_a_winner',
                ['heat' => self::heat($reading, $heat), 'group' => $reading->name($heat->winner)],
            ),
            default => Text::of('race.form.has_moved_on', ['heat' => self::heat($reading, $heat)]),
        };
    }

    /** What a race can't show. */
    public static function betterLoses(RaceChances $chances): string
    {
        return Text::of(
            'race.chances.better_loses',
            ['single' => self::oneIn($chances->betterLoses), 'three' => self::oneIn($chances->betterLosesOfThree)],
        );
    }

    /** @return array<string, string> how often the best car wins, by the way of finding it */
    public static function bestWins(RaceChances $chances, int $tries): array
    {
        return array_map(static fn(float $chance): string => Text::of('race.chances.in_100', ['count' => (int) round(100 * $chance)]), [
            Text::of('race.chances.by_knockout') => $chances->byKnockout,
            Text::of('race.chances.by_knockout_of_three') => $chances->byKnockoutOfThree,
            Text::of('race.chances.by_all') => $chances->byRoundRobin,
            Text::plural('race.chances.by_mean', $tries) => $chances->byMean,
        ]);
    }

    private static function oneIn(float $chance): string
    {
        return match (true) {
            $chance >= self::NEARLY_EVEN => Text::of('race.chances.nearly_half'),
            $chance < 0.01 => Text::of('race.chances.hardly'),
            default => Text::of('race.chances.one_in', ['count' => (int) round(1 / $chance)]),
        };
    }

    /** Whom the race is too long for; null where every car reaches its end by its mean, or it has none. */
    public static function fallShort(ClassRecord $record, ?float $lengthM): ?string
    {
        $short = array_keys(
            array_filter(RaceOffer::means($record), static fn(float $mean): bool => $lengthM !== null && $mean < $lengthM - 1e-9),
        );
        $names = array_values(array_map(static fn(Group $group): string => $group->name, $record->groups->whereIn('id', $short)->all()));

        return $names === [] || $lengthM === null ? null : Text::of('race.fits.fall_short', [
            'names' => Lists::and($names), 'length' => $record->challenge->units->show($lengthM, Scale::Lane),
        ]);
    }
}
