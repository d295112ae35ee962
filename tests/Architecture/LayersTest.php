<?php

declare(strict_types=1);

namespace Tests\Architecture;

use App\Http\Controllers\LiveController;
use App\Presenters\Label;
use App\Presenters\Text;
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
        'Measurement', 'Statistics', 'Physics', 'Car', 'Simulation', 'Bench',
        'Challenge', 'Race', 'Forecast', 'Session', 'Findings', 'Library', 'Diagnosis', 'Exchange', 'Film',
    ];

    public function testTheCoreKnowsNothingButItselfAndItsNumbers(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Skivo\Core'))
            ->canOnlyDependOn()
            ->classes(
                Selector::inNamespace('Skivo\Core'),
                Selector::inNamespace('Brick\Math'),
                Selector::classname('/^(DomainException|InvalidArgumentException|LogicException|RuntimeException|JsonException|Throwable|stdClass|IntlChar)$/', true),
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
        return Selector::inNamespace('Skivo\Core\\' . $name);
    }

    public function testOnlyActionsChangeData(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('App\Http'))
            ->excluding(Selector::classname(LiveController::class))
            ->shouldNotDependOn()
            ->classes(Selector::classname(DB::class))
            ->because('every change of data is one action with its transaction, whoever calls it');
    }

    public function testWhatChangesAndReadsDataKnowsNothingOfTheWeb(): Rule
    {
        return PHPat::rule()
            ->classes(
                Selector::inNamespace('App\Models'),
                Selector::inNamespace('App\Actions'),
                Selector::inNamespace('App\ViewModels'),
                Selector::inNamespace('App\Presenters'),
                Selector::inNamespace('App\Casts'),
                Selector::inNamespace('App\Policies'),
            )
            ->shouldNotDependOn()
            ->classes(Selector::inNamespace('App\Http'), Selector::inNamespace('Illuminate\Http'))
            ->because('requests are for controllers; actions can be called from anywhere');
    }

    public function testActionsDoNotWordSentences(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('App\Models'), Selector::inNamespace('App\Actions'))
            ->shouldNotDependOn()
            ->classes(Selector::inNamespace('App\Presenters'))
            ->because('what is so comes before how it is said');
    }

    public function testViewModelsNameThingsButWordNoSentences(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('App\ViewModels'))
            ->shouldNotDependOn()
            ->classes(Selector::inNamespace('App\Presenters'))
            ->excluding(Selector::classname(Text::class), Selector::classname(Label::class))
            ->because('what is so comes before how it is said');
    }
}
