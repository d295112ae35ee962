<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Check\CheckItem;
use Skivo\Core\Challenge\Leeway;
use Skivo\Core\Exchange\AttributeSchema;
use Skivo\Core\Exchange\ClassReader;
use Skivo\Core\Exchange\ClassWriter;
use Skivo\Core\Exchange\FindingsReport;
use Skivo\Core\Exchange\JsonFaultException;
use Skivo\Core\Findings\Belief;
use Skivo\Core\Findings\Findings;
use Skivo\Core\Findings\Outcome;
use Skivo\Core\Findings\Question;
use Skivo\Core\Measurement\OutOfRangeException;

/** A class as JSON, and what is found of it. */
final class ClassJsonTest extends TestCase
{
    private const CLASS_ = <<<'JSON'
        {"question":{"attribute":"nozzle_bore","outcome":"distance"},"rule":"mean","tries":3,"lane_length_m":6,"timed_length_m":1,
         "cars":[{"id":"a1","group":"a","version":1,
           "attributes":{"nozzle_bore":0.006,"mass":0.06,"wheel_kind":"bottle caps"},
           "bench":[{"test":"ramp_roll_out","release_height_m":0.12,"distance_m":1.10}],
           "checks":{"spin_s":2,"end_play_m":0.0015},
           "runs":[{"distance_m":3.1,"time_s":1.2,"drift_m":0.05,"fill_diameter_m":0.2,"past_end":false},{"void":"balloon_off"}]}]}
        JSON;

    public function testTheExampleOfTheDocumentIsRead(): void
    {
        $class = ClassReader::read(self::CLASS_);
        self::assertEquals(new Question(CarAttribute::NozzleBore, Outcome::Distance), $class->question);
        self::assertSame(1.0, $class->timedLengthM);
        [$car] = $class->cars;
        self::assertSame(['a1', 'a', 1], [$car->id, $car->group, $car->version]);
        self::assertSame(0.006, $car->choices->number(CarAttribute::NozzleBore));
        self::assertSame(['ramp' => [[0.12, 1.10]]], $car->bench);
        self::assertSame([1, 1], [count($car->tries->counted), count($car->tries->void)]);
        self::assertSame(0.2, $car->asRun()->balloonDiameterM());
        $found = FindingsReport::of(Findings::of($class, draws: 50));
        self::assertSame(
            ['cars', 'standings', 'question', 'claims', 'beliefs', 'dose', 'sources', 'forecast', 'work', 'outliers', 'next_test'],
            array_keys($found),
        );
        self::assertSame(
            ['attribute', 'outcome', 'effect', 'per', 'from', 'to', 'interval', 'verdict', 'cars', 'groups', 'allowed_for', 'shares_m'],
            array_keys($found['question']),
        );
        self::assertSame('cannot_tell', $found['question']['verdict']);
        self::assertSame(['car', 'no_start', 'median_m', 'band50_m', 'band95_m'], array_keys($found['forecast'][0]));
    }

    /** @return iterable<string, array{string, string, string}> what is turned into what, and what is said of it */
    public static function faults(): iterable
    {
        yield 'not JSON' => ['{"question"', '{question', 'The class is not JSON'];
        yield 'an unknown key' => ['"rule"', '"role"', 'role is not part of a class'];
        yield 'an unknown rule' => ['"mean"', '"sum"', 'rule must be one of best, mean, median'];
        yield 'no cars' => ['"cars"', '"cart"', 'cart is not part of a class'];
        yield 'an award of no such goal' => ['"rule":"mean"', '"award":{"goal":"best"}', 'award.goal must be one of farthest, fastest'];
        yield 'a seed that is none' => ['"rule":"mean"', '"seed":0', 'seed must be from 1 to 2147483647; it is 0'];
        yield 'a failed check of no such name' => [
            '"checks":', '"failed_checks":["brakes"],"checks":', 'cars[0].failed_checks must be a list of spin, end_play, wobble, parallel',
        ];
        yield 'a shift beyond reason' => [
            '"rule":"mean"', '"check_shifts":{"spin":2}', 'check_shifts.spin must be from -1.5 to 1.5; it is 2',
        ];
        yield 'a car without runs' => ['"runs"', '"ruins"', 'cars[0].ruins is not part of a class'];
        yield 'an unknown attribute' => ['"mass":', '"weight":', 'cars[0].attributes.weight is not part of a car'];
        yield 'grams for kilograms' => ['"mass":0.06', '"mass":60', 'cars[0].attributes.mass must be from 0.001 to 10; it is 60'];
        yield 'a word for a number' => ['"mass":0.06', '"mass":"light"', 'cars[0].attributes.mass must be a number'];
        yield 'a number for a kind' => ['"bottle caps"', '3', 'cars[0].attributes.wheel_kind must be a word'];
        yield 'an unknown test' => ['"ramp_roll_out"', '"drop"', 'cars[0].bench[0].test must be one of ramp_roll_out, tilt'];
        yield 'a reading of another test' => [
            '"ramp_roll_out"', '"tilt"', 'cars[0].bench[0].release_height_m is not part of the test tilt',
        ];
        yield 'a reading left out' => [',"distance_m":1.10', '', 'cars[0].bench[0].distance_m is missing'];
        yield 'an unknown void' => ['"balloon_off"', '"bad luck"', 'cars[0].runs[1].void must be one of no_start, hit_something'];
        yield 'a run without a distance' => ['"distance_m":3.1,', '', 'cars[0].runs[0].distance_m is missing'];
        yield 'a run of a kilometre' => ['"distance_m":3.1', '"distance_m":1000', 'cars[0].runs[0].distance_m must be from 0 to 100'];
        yield 'yes for true' => ['"past_end":false', '"past_end":"no"', 'cars[0].runs[0].past_end must be true or false'];
        yield 'an unknown check' => ['"spin_s"', '"spin"', 'cars[0].checks.spin is not part of a class'];
        yield 'a question about nothing' => ['"nozzle_bore","outcome"', '"colour","outcome"', 'question.attribute must be one of'];
        yield 'a question about kinds without them' => ['"nozzle_bore","outcome"', '"wheel_kind","outcome"', 'question.from is missing'];
        yield 'kinds for a number' => [
            '"outcome":"distance"}', '"outcome":"distance","from":"a","to":"b"}', 'question.from is not part of a question about a number',
        ];
        yield 'half a try' => ['"tries":3', '"tries":2.5', 'tries must be a whole number'];
    }

    #[DataProvider('faults')]
    public function testWhateverIsWrongIsNamedByItsPlace(string $right, string $wrong, string $said): void
    {
        try {
            ClassReader::read(str_replace($right, $wrong, self::CLASS_));
            self::fail('It was read.');
        } catch (JsonFaultException|OutOfRangeException $fault) {
            self::assertStringStartsWith($said, $fault->getMessage());
        }
    }

    public function testTwoCarsOfOneNameAreRefused(): void
    {
        $this->expectExceptionMessage('cars[1].id must be its own: there are two cars "x".');
        ClassReader::read('{"cars":[{"id":"x","group":"a","runs":[]},{"id":"x","group":"b","runs":[]}]}');
    }

    public function testWhatMayBeLeftOutHasAMeaning(): void
    {
        $class = ClassReader::read(
            '{"lane_length_m":5,"cars":[{"id":"a","group":"g","runs":[{"past_end":true},{"distance_m":4}]},{"id":"b","group":"g","runs":[{"void":"no_start"}]},{"id":"c","group":"h","is_in":false,"attributes":{"chassis_kind":"foam board","balloon_filled":0.21,"nozzle_outlets":3,"wheel_mount":"spinning on the axle"},"runs":[]}]}',
        );
        self::assertNull($class->question);
        self::assertSame([1, 2, 1], array_column($class->cars, 'version'), 'versions in the order of the cars of a group');
        self::assertTrue($class->cars[0]->tries->passedTheEnd());
        self::assertSame(5.0, $class->cars[0]->tries->counted[0]->distanceM, 'at least the lane');
        self::assertSame(['foam board', 0.21, 3.0, 'spinning on the axle'], [
            $class->cars[2]->choices->kind(CarAttribute::Chassis), $class->cars[2]->choices->balloonDiameterM(),
            $class->cars[2]->choices->number(CarAttribute::NozzleOutlets), $class->cars[2]->choices->kind(CarAttribute::WheelMount),
        ]);
        self::assertFalse($class->cars[2]->isIn);
        $zero = ClassReader::read('{"no_start":"zero","cars":[{"id":"b","group":"g","runs":[{"void":"no_start"}]}]}');
        self::assertSame([0.0], $zero->cars[0]->tries->distances()?->values);
    }

    public function testTheNextTestKeepsToTheLimitsOfTheClass(): void
    {
        $of = static fn(string $limits): Leeway => ClassReader::read(
            "{\"limits\":{$limits},\"cars\":[{\"id\":\"a\",\"group\":\"g\",\"runs\":[]}]}",
        )->leeway;
        $leeway = $of('{"vary":["wheels","mass"],"most":{"mass":0.09},"names":{"wheel_kind":["caps","Lids"]}}');
        self::assertTrue($leeway->allows(CarAttribute::Mass, 0.09));
        self::assertFalse($leeway->allows(CarAttribute::Mass, 0.091), 'too heavy');
        self::assertFalse($leeway->allows(CarAttribute::NozzleBore, 0.006), 'the nozzle is held');
        self::assertTrue($leeway->allows(CarAttribute::WheelKind, 'lids'));
        self::assertFalse($leeway->allows(CarAttribute::WheelKind, 'discs'));
        self::assertTrue((new Leeway())->allows(CarAttribute::NozzleBore, 0.006));
        foreach (['{"vary":["sails"]}', '{"most":{"colour":1}}', '{"names":{"wheel_kind":[1]}}', '{"least":{}}'] as $odd) {
            try {
                $of($odd);
                self::fail("{$odd} was read.");
            } catch (JsonFaultException $fault) {
                self::assertStringContainsString('limits', $fault->getMessage());
            }
        }
    }

    public function testReadingsAreJudgedByTheUsualLimits(): void
    {
        $of = static fn(string $checks, string $attributes = '{}'): ?array => ClassReader::read(
            "{\"cars\":[{\"id\":\"a\",\"group\":\"g\",\"attributes\":{$attributes},\"checks\":{$checks},\"runs\":[]}]}",
        )->cars[0]->failed;
        self::assertSame([], $of('{"spin_s":3,"end_play_m":0.0015,"wobble_m":0.0005,"drift_m":0.5}'));
        self::assertSame(
            [CheckItem::Spin, CheckItem::EndPlay, CheckItem::Wobble],
            $of('{"spin_s":1.5,"end_play_m":0.003,"wobble_m":0.002}'),
        );
        self::assertSame([CheckItem::Parallel], $of('{"parallel_m":0.0015}', '{"track":0.1}'), 'almost a degree');
        self::assertSame([], $of('{"parallel_m":0.0015}'), 'without a track nobody can tell');
        self::assertNull(ClassReader::read('{"cars":[{"id":"a","group":"g","runs":[]}]}')->cars[0]->failed);
    }

    public function testWhatIsWrittenIsReadBack(): void
    {
        $json
            = '{"question":{"attribute":"wheel_kind","outcome":"time","from":"caps","to":"lids"},"rule":"best","tries":2,"void_tries":"lost","lane_length_m":6.5,"timed_length_m":1.5,"surface":"tile","temperature_c":18.5,"award":{"goal":"nearest","length_m":2.5},"seed":7,"check_shifts":{"spin":0.25,"end_play":-0.1},'
            . '"limits":{"vary":["wheels","mass"],"most":{"mass":0.09},"names":{"wheel_kind":["caps","lids"]}},'
            . '"cars":[{"id":"7","group":"3","version":1,"attributes":{"chassis_kind":"craft stick","wheel_kind":"caps","balloon_filled":0.19,"nozzle_bore":0.007,"nozzle_outlets":2,"mass":0.055},'
            . '"bench":[{"test":"ramp_roll_out","release_height_m":0.1,"distance_m":1.5},{"test":"spin","turns_for_s":4.5}],"failed_checks":["end_play","wobble"],'
            . '"runs":[{"distance_m":3.25,"time_s":1.5,"drift_m":-0.1,"limp_m":1.5,"fill_diameter_m":0.2},{"distance_m":6.5,"past_end":true},{"void":"burst"}]},'
            . '{"id":"8","group":"4","version":1,"is_in":false,"runs":[]}]}';
        $class = ClassReader::read($json);
        self::assertSame($json, ClassWriter::write($class, 6.5));
        self::assertEquals($class, ClassReader::read(ClassWriter::write($class, 6.5)));
    }

    /** A medium fill goes farthest, and the tries of one car say so; where they go on rising, there is no best inside. */
    public function testTheDoseOfOneCar(): void
    {
        $runs = static fn(\Closure $distance): string => implode(',', array_map(
            static fn(int $i): string => json_encode(
                [
                    'distance_m' => round($distance(0.14 + 0.02 * intdiv($i, 2)) + 0.03 * ($i % 2), 3),
                    'fill_diameter_m' => 0.14 + 0.02 * intdiv($i, 2),
                ],
                JSON_THROW_ON_ERROR,
            ),
            range(0, 9),
        ));
        $class = ClassReader::read('{"tries":10,"cars":['
            . '{"id":"top","group":"a","runs":[' . $runs(static fn(float $fill): float => 4.0 - 600 * ($fill - 0.18) ** 2) . ']},'
            . '{"id":"rising","group":"b","runs":[' . $runs(static fn(float $fill): float => 20 * $fill) . ']},'
            . '{"id":"once","group":"c","runs":[{"distance_m":3,"fill_diameter_m":0.2}]}]}');
        $dose = FindingsReport::of(Findings::of($class, draws: 20))['dose'];
        self::assertSame(['top', 'rising'], array_column($dose, 'car'));
        self::assertEqualsWithDelta(0.18, $dose[0]['best_m'], 0.003);
        self::assertLessThan(0.18, $dose[0]['interval_m'][0]);
        self::assertGreaterThan(0.18, $dose[0]['interval_m'][1]);
        self::assertSame([null, null], [$dose[1]['best_m'], $dose[1]['interval_m']]);
    }

    /** The schemas in docs/ say what is read and what is printed. */
    public function testTheSchemasSayWhatIsReadAndPrinted(): void
    {
        $schema = static fn(string $name): array => json_decode(
            (string) file_get_contents(dirname(__DIR__, 2) . "/docs/{$name}.schema.json"),
            true,
            64,
            JSON_THROW_ON_ERROR,
        );
        $class = $schema('class')['properties'];
        $attributes = $class['cars']['items']['properties']['attributes']['properties'];
        // Written by composer schemas.
        self::assertSame(json_encode(AttributeSchema::properties()), json_encode($attributes));
        self::assertSame(array_keys($attributes), $class['question']['properties']['attribute']['enum']);
        self::assertSame([], array_diff(array_keys($attributes), array_keys(ClassReader::attributes())), 'all of them are read');
        foreach (['{"cars":[]}' => true, '{"cars":[{"id":"a","group":"g","runs":[{"distance_m":1}]}]}' => true] as $json => $_) {
            self::assertSame([], array_diff(array_keys(json_decode($json, true, 8, JSON_THROW_ON_ERROR)), array_keys($class)));
        }
        $findings = $schema('findings')['properties'];
        $found = FindingsReport::of(Findings::of(ClassReader::read(self::CLASS_), draws: 20));
        self::assertSame(array_keys($findings), array_keys($found));
        foreach ($found as $part => $value) {
            $row = is_array($value) && array_is_list($value) ? $value[0] ?? null : $value;
            $keys = $findings[$part]['items']['properties']
                ?? array_merge(...array_column($findings[$part]['items']['oneOf'] ?? [$findings[$part]['oneOf'][1]], 'properties'));
            self::assertSame([], array_diff(array_keys($row ?? []), array_keys($keys)), $part);
        }
        $codes = $findings['beliefs']['items']['properties']['code']['enum'];
        self::assertSame([], array_diff(array_column($found['beliefs'], 'code'), $codes));
        self::assertEqualsCanonicalizing(
            array_merge(
                ...array_map(static fn(Belief $belief): array => array_map($belief->code(...), $belief->outcomes()), Belief::cases()),
            ),
            $codes,
        );
    }
}
