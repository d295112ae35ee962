<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Language\CarWords;
use App\Language\Lists;
use App\Language\RunWords;
use App\Language\Sentence;
use App\Language\StandingWords;
use App\Models\Challenge;
use App\Record\ClassRecord;
use PHPUnit\Framework\Attributes\DataProvider;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Car;
use Skivo\Core\Measurement\UnitSystem;
use Tests\Scenario;

/** The sentences, word for word. */
final class WordingTest extends FeatureTestCase
{
    public function testNamesInARow(): void
    {
        self::assertSame('', Lists::and([]));
        self::assertSame('Keel', Lists::and(['Keel']));
        self::assertSame('Keel and Reef', Lists::and(['Keel', 'Reef']));
        self::assertSame('Keel, Reef and Cleat', Lists::and(['Keel', 'Reef', 'Cleat']));
        self::assertSame('A, B, C and 3 more', Lists::and(['A', 'B', 'C', 'D', 'E', 'F']));
    }

    /** @return iterable<string, array{string, array<string, mixed>, list<string>}> a class, its rule, what is said */
    public static function classes(): iterable
    {
        yield 'nobody' => ['', [], ['No groups yet. Add them under Build; then their runs can be logged here.']];
        yield 'nothing has run' => [
            "group\nA\nB\n", [], ['Nothing has run yet. Log the first run at the foot of the page.', '0 of 6 tries are in.'],
        ];
        yield 'a lone runner' => [
            "group,try,distance\nA,1,300\n", [], ["A leads with 300\u{00A0}cm.", '1 of 3 tries are in. Still to run: A.'],
        ];
        yield 'one try each' => ["group,try,distance\nA,1,300\nB,1,250\n", [], [
            "A leads with 300\u{00A0}cm, 50\u{00A0}cm ahead of B.",
            'One try each: no spread yet. Until a car has a second try, nothing tells luck from a better car.',
            '2 of 6 tries are in. Still to run: A and B.',
        ]];
        yield 'clearly farther' => ["group,try,distance\nA,1,300\nA,2,302\nB,1,250\nB,2,252\n", ['tries' => 2], [
            "A leads with 301\u{00A0}cm, 50\u{00A0}cm ahead of B.",
            'Clearly farther than every other car, at 95 %.',
            '4 of 4 tries are in.',
        ]];
        yield 'too close, by the best' => ["group,try,distance\nA,1,300\nA,2,260\nB,1,290\nB,2,270\n", [
            'tries' => 2, 'scoring' => 'best',
        ], [
            "A leads with 300\u{00A0}cm, 10\u{00A0}cm ahead of B.",
            'Too close to call: B could be as good as A, at 95 %.',
            'The best decides the places; closeness is judged on the means.',
            '4 of 4 tries are in.',
        ]];
        yield 'void tries are counted' => ["group,try,distance,void\nA,1,300,\nA,2,,burst\nA,2,,no start\n", [], [
            "A leads with 300\u{00A0}cm.", '1 of 3 tries are in; 2 were void. Still to run: A.',
        ]];
    }

    /**
     * @param array<string, mixed> $rule
     * @param list<string> $said
     */
    #[DataProvider('classes')]
    public function testWhereAClassStands(string $sheet, array $rule, array $said): void
    {
        $challenge = Scenario::challenge($this->educator, $rule);
        if ($sheet !== '') {
            Scenario::withClass($challenge, $sheet);
        }

        self::assertSame($said, array_map(
            static fn(Sentence $sentence): string => trim("{$sentence->lead} {$sentence->rest} {$sentence->small}"),
            (new StandingWords(ClassRecord::of($challenge)))->soFar(),
        ));
    }

    public function testTheRuleInALine(): void
    {
        $challenge = Scenario::challenge($this->educator, ['surface' => 'vinyl', 'scoring' => 'median', 'tries' => 5]);
        self::assertSame("Farthest · median of 5 tries · lane 6\u{00A0}m · vinyl", StandingWords::rule($challenge));

        $challenge->fill(
            ['goal' => 'fastest', 'timed_length' => $challenge->lane_length, 'tries' => 1, 'surface' => null, 'units' => 'imperial'],
        );
        self::assertSame("Fastest over 19.69\u{00A0}ft · 1 try · lane 19.69\u{00A0}ft", StandingWords::rule($challenge));
    }

    public function testACarInALine(): void
    {
        $choices = fn(Challenge $challenge): Car => $challenge->groups()->firstOrFail()->cars()->firstOrFail()->choices;
        $full = $choices(Scenario::withClass(
            Scenario::challenge($this->educator),
            "group,nozzle,nozzle bore (mm),outlets,nozzle length,balloon circumference,pump strokes,mass,wheels,wheel diameter,wheel mount,chassis,surface\nA,bundle of straws,6,3,12,60,1,58,caps,30,spinning,card,carpet\n",
        ));

        self::assertSame("3 × 6\u{00A0}mm, 58\u{00A0}g", CarWords::brief($full, UnitSystem::Metric));
        // What the class asks about stands first; what stands there anyway, once.
        self::assertSame("caps, 3 × 6\u{00A0}mm, 58\u{00A0}g", CarWords::brief($full, UnitSystem::Metric, CarAttribute::WheelKind));
        self::assertSame("3 × 6\u{00A0}mm, 58\u{00A0}g", CarWords::brief($full, UnitSystem::Metric, CarAttribute::Mass));
        self::assertSame(
            [
                'Nozzle' => "bundle of straws, bore 3 × 6\u{00A0}mm, 12\u{00A0}cm long",
                'Balloon' => "filled to 60\u{00A0}cm around, 1 pump stroke",
                'Wheels' => "caps, 30\u{00A0}mm, spinning on the axle",
                'Car' => "58\u{00A0}g, card, on carpet",
            ],
            CarWords::parts($full, UnitSystem::Metric),
        );
        self::assertSame('not recorded', CarWords::brief(null, UnitSystem::Metric));
        self::assertSame(
            'partly recorded',
            CarWords::brief(
                $choices(Scenario::withClass(Scenario::challenge($this->educator), "group,chassis\nA,card\n")),
                UnitSystem::Metric,
            ),
        );
        self::assertSame(
            ["mass 58\u{00A0}g to none"],
            array_slice(
                CarWords::differences(
                    $full,
                    new Car(
                        $full->quantities === [] ? [] : array_diff_key($full->quantities, ['mass' => true]),
                        $full->counts,
                        $full->kinds,
                        $full->balloonMeasuredAs,
                    ),
                    UnitSystem::Metric,
                ),
                0,
                1,
            ),
        );
    }

    public function testARunInAFewWords(): void
    {
        $challenge = $this->class();
        $void = $challenge->runs()->whereNotNull('void_reason')->with('car.group')->sole();
        $timed = $challenge->runs()->where('distance_m', 4.11)->with('car.group')->sole();

        self::assertSame('Keel, try 2, void: no start', RunWords::summary($void, UnitSystem::Metric));
        self::assertSame("Halyard, try 1, 161.8\u{00A0}in, 0.95\u{00A0}s", RunWords::summary($timed, UnitSystem::Imperial));
        self::assertSame(['try 1 → 2', 'distance 3 m → none', 'void none → burst'], RunWords::differences(
            ['try' => 1, 'distance' => '3 m', 'void' => null],
            ['try' => 2, 'distance' => null, 'void' => 'burst'],
        ));
    }
}
