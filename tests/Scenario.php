<?php

declare(strict_types=1);

namespace Tests;

use App\Actions\ImportSheet;
use App\Actions\SetRace;
use App\Models\Challenge;
use App\Models\Race;
use App\Models\User;
use Illuminate\Support\Str;
use PHPUnit\Framework\Assert;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Challenge\Goal;
use Skivo\Core\Challenge\Scoring;
use Skivo\Core\Exchange\SheetReader;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Measurement\QuantityReader;
use Skivo\Core\Measurement\Unit;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Race\RaceKind;
use Skivo\Core\Race\RacePlan;

/** Educators and classes to test with. A class is written as a run table. */
final class Scenario
{
    public const PASSWORD = 'a long password';

    /** A class with something to find: wider bores go farther, one try was void, Reef has two versions. */
    public const SHEET = <<<'CSV'
        group,version,nozzle bore (mm),mass (g),wheels,try,distance (cm),time (s),void
        Bowline,1,8,58,bottle caps,1,329,1.12,
        Bowline,1,,,,2,341,,
        Bowline,1,,,,3,352,,
        Halyard,1,9,52,jar lids,1,411,0.95,
        Halyard,1,,,,2,420,,
        Halyard,1,,,,3,438,,
        Keel,1,5,92,bottle caps,1,118,2.61,
        Keel,1,,,,2,,,no start
        Keel,1,,,,2,131,,
        Reef,1,6,74,card discs,1,168,,
        Reef,1,,,,2,181,,
        Reef,2,7,68,card discs,1,233,,
        CSV;

    public static function educator(string $name = 'Test educator'): User
    {
        return User::query()->create([
            'name' => $name,
            'email' => 'educator-' . Str::lower(Str::random(12)) . '@skivo.example',
            'password' => self::PASSWORD,
        ]);
    }

    /** What somebody typed: a length with its unit. */
    public static function entry(string $typed): Entry
    {
        return (new QuantityReader())->read($typed, Unit::Centimetre);
    }

    /** A knockout between all groups of a class, in their own order, first across three metres. */
    public static function race(Challenge $challenge, int $lanes = 2, bool $brokenLoses = false): Race
    {
        $entrants = array_map(strval(...), $challenge->groups()->pluck('id')->all());

        return app(SetRace::class)(
            $challenge,
            new RacePlan(RaceKind::Knockout, array_values($entrants), lengthM: 3.0, lanes: $lanes, brokenLoses: $brokenLoses),
            self::entry('3 m'),
        )->setRelation('challenge', $challenge);
    }

    /** @param array<string, mixed> $differently */
    public static function challenge(User $educator, array $differently = []): Challenge
    {
        return $educator->challenges()->create($differently + [
            'name' => 'Across the hall',
            'question' => 'Does a wider nozzle carry the car farther?',
            'asks' => CarAttribute::NozzleBore,
            'goal' => Goal::Farthest,
            'scoring' => Scoring::Mean,
            'tries' => 3,
            'lane_length' => (new QuantityReader())->read('6 m', Unit::Metre),
            'units' => UnitSystem::Metric,
            'safety_read_at' => now(),
        ]);
    }

    public static function withClass(Challenge $challenge, string $sheet = self::SHEET): Challenge
    {
        $plan = app(ImportSheet::class)->store($challenge, (new SheetReader($challenge->units))->read($sheet));
        Assert::assertSame(
            [],
            array_map(static fn($problem): string => "{$problem->line}: " . Spoken::say($problem->remark), $plan->problems),
        );

        return $challenge;
    }

    /** A sheet of so many groups, each with one car and so many runs. */
    public static function sheet(int $groups, int $runs): string
    {
        $csv = "group,nozzle,nozzle bore (mm),outlets,mass (g),wheels,wheel diameter (mm),chassis,try,distance (cm),time (s)\n";
        for ($group = 1; $group <= $groups; $group++) {
            for ($try = 1; $try <= $runs; $try++) {
                $distance = 120 + 9 * $group + (37 * $try * $group) % 41;
                $csv .= "Group {$group},straw,"
                    . (4 + $group % 7)
                    . ',1,'
                    . (50 + $group)
                    . ",caps,32,card,{$try},{$distance},"
                    . number_format(400 / $distance, 2)
                    . "\n";
            }
        }

        return $csv;
    }
}
