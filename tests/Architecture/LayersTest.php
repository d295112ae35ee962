<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PHPat\Selector\Selector;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

/**
 * Arrows go one way only: routes → app/Http → app → core. PHPStan runs these rules.
 */
final class LayersTest
{
    public function testTheCoreKnowsNothingButItselfAndItsNumbers(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Skivo\Core'))
            ->canOnlyDependOn()
            ->classes(
                Selector::inNamespace('Skivo\Core'),
                Selector::inNamespace('Brick\Math'),
                Selector::classname('/^(DomainException|InvalidArgumentException|LogicException|RuntimeException|JsonException|stdClass|IntlChar)$/', true),
                Selector::classname('/^(BackedEnum|UnitEnum|Closure)$/', true),
                // Chance, but with a seed: the same every time.
                Selector::classname('/^Random.(Randomizer|Engine.Xoshiro256StarStar)$/', true),
            )
            ->because('the rules of the job and its computation stand alone, without framework, database or web');
    }

    public function testWhatChangesAndReadsDataKnowsNothingOfTheWeb(): Rule
    {
        return PHPat::rule()
            ->classes(
                Selector::inNamespace('App\Models'),
                Selector::inNamespace('App\Actions'),
                Selector::inNamespace('App\Reading'),
                Selector::inNamespace('App\Wording'),
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
            ->classes(Selector::inNamespace('App\Models'), Selector::inNamespace('App\Actions'), Selector::inNamespace('App\Reading'))
            ->shouldNotDependOn()
            ->classes(Selector::inNamespace('App\Wording'))
            ->because('what is so comes before how it is said');
    }
}
