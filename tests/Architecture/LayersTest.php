<?php

declare(strict_types=1);

namespace Tests\Architecture;

use App\Pages\Run\LiveController;
use Illuminate\Support\Facades\DB;
use PHPat\Selector\Selector;
use PHPat\Selector\SelectorInterface;
use PHPat\Test\Attributes\TestRule;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

/**
 * Arrows go one way only: routes → app/Http → app → core. PHPStan runs these rules.
 */
final class LayersTest
{
    /** The folders of core/, each after those that it may depend on. */
    private const CORE = [
        'Measurement', 'Statistics', 'Ode', 'Physics', 'Car\Attribute', 'Car', 'Car\Part', 'Car\Geometry', 'Car\Build', 'Car\Check',
        'Simulation', 'Bench', 'People', 'Challenge', 'Notebook', 'Race', 'Forecast', 'Session', 'Findings', 'Library', 'Diagnosis',
        'Motion\Trace', 'Motion\Film', 'Exchange',
    ];

    /** The folders of app/ that know nothing of pages, each after those that it may depend on. */
    private const APP = [
        'Casts', 'Models', 'Access', 'Record', 'Archive', 'Actions', 'Language', 'Exceptions', 'Policies', 'Forms', 'Session', 'Logging',
    ];

    /** The rooms of its pages, in an order of their own: a later one may show what an earlier one does. */
    private const PAGES = [
        'Plan', 'Check', 'Findings', 'Run', 'Group', 'Build', 'Home', 'DryRun', 'Film', 'Race', 'Report', 'Room', 'Paper', 'Board',
        'Sharing', 'Account', 'Api',
    ];

    private const AFTER = ['Http', 'Console', 'Providers'];

    public function testTheCoreKnowsNothingButItselfAndItsNumbers(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Skivo\Core'))
            ->canOnlyDependOn()
            ->classes(
                Selector::inNamespace('Skivo\Core'),
                Selector::inNamespace('Brick\Math'),
                Selector::classname(
                    '/^(DomainException|InvalidArgumentException|LogicException|RuntimeException|JsonException|Throwable|stdClass|IntlChar)$/',
                    true,
                ),
                Selector::classname('/^(BackedEnum|UnitEnum|Closure|Attribute|ReflectionEnumBackedCase)$/', true),
                // Chance, but with a seed: the same every time.
                Selector::classname('/^Random.(Randomizer|Engine.Xoshiro256StarStar)$/', true),
            )
            ->because('the rules of the job and its computation stand alone, without framework, database or web');
    }

    /** @return iterable<string, Rule> one for each folder: it may depend on those above it only, so that no circle can form */
    #[TestRule]
    public function foldersOfTheCoreDependOnlyOnThoseAboveThem(): iterable
    {
        foreach (self::CORE as $place => $folder) {
            $below = array_map(self::folder(...), array_slice(self::CORE, $place + 1));
            if ($below !== []) {
                yield $folder => PHPat::rule()
                    ->classes(self::folder($folder))
                    ->shouldNotDependOn()
                    ->classes(...$below)
                    ->because('core/' . $folder . ' comes before ' . implode(', ', array_slice(self::CORE, $place + 1)));
            }
        }
    }

    public function testEveryFolderOfTheCoreHasItsPlaceInTheOrder(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Skivo\Core'))
            ->excluding(...array_map(self::folder(...), self::CORE))
            ->shouldNotExist()
            ->because('a new folder of core/ needs a place in the order that LayersTest holds');
    }

    private static function folder(string $name): SelectorInterface
    {
        // A folder itself, without those inside it, which have places of their own.
        return Selector::inNamespace('/^Skivo\\\\Core\\\\' . preg_quote($name, '/') . '$/', true);
    }

    public function testOnlyActionsChangeData(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('App\Http'), Selector::classname('/^App.Pages.*(Controller|Request)$/', true))
            ->excluding(Selector::classname(LiveController::class))
            ->shouldNotDependOn()
            ->classes(Selector::classname(DB::class))
            ->because('every change of data is one action with its transaction, whoever calls it');
    }

    /** @return iterable<string, Rule> the same order for the folders of app/, and for the rooms of its pages */
    #[TestRule]
    public function foldersOfTheApplicationDependOnlyOnThoseBeforeThem(): iterable
    {
        $order = [
            ...array_map(static fn(string $name): string => "App\\{$name}", self::APP),
            ...array_map(static fn(string $name): string => "App\\Pages\\{$name}", self::PAGES),
            ...array_map(static fn(string $name): string => "App\\{$name}", self::AFTER),
        ];
        foreach ($order as $place => $folder) {
            $later = array_map(Selector::inNamespace(...), array_slice($order, $place + 1));
            if ($later !== []) {
                yield $folder => PHPat::rule()->classes(Selector::inNamespace($folder))->shouldNotDependOn()->classes(...$later)
                    ->because("{$folder} comes before " . implode(', ', array_slice($order, $place + 1)));
            }
        }
    }

    public function testEveryFolderOfTheApplicationHasItsPlaceInTheOrder(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('App'))
            ->excluding(
                ...array_map(
                    static fn(string $name): SelectorInterface => Selector::inNamespace("App\\{$name}"),
                    [...self::APP, ...array_map(static fn(string $name): string => "Pages\\{$name}", self::PAGES), ...self::AFTER],
                ),
            )
            ->shouldNotExist()
            ->because('a new folder of app/ needs a place in the order that LayersTest holds');
    }

    public function testWhatChangesAndReadsDataKnowsNothingOfTheWeb(): Rule
    {
        return PHPat::rule()
            ->classes(
                ...array_map(
                    static fn(string $name): SelectorInterface => Selector::inNamespace("App\\{$name}"),
                    ['Casts', 'Models', 'Record', 'Archive', 'Actions', 'Language'],
                ),
            )
            ->shouldNotDependOn()
            ->classes(Selector::inNamespace('Illuminate\Http'))
            ->because('requests are for pages; actions can be called from anywhere');
    }
}
