<?php

declare(strict_types=1);

namespace Tests\Feature\Findings;

use App\Language\FactorWords;
use App\Language\Sentence;
use App\Language\StandingWords;
use App\Pages\Check\BenchWords;
use App\Pages\Findings\BeliefWords;
use App\Pages\Findings\FindingWords;
use App\Pages\Findings\ModelWords;
use App\Record\ClassFindings;
use App\Record\ClassRecord;
use Skivo\Core\Bench\BenchTest;
use Skivo\Core\Bench\Forces;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\EnergySource;
use Skivo\Core\Car\Car;
use Skivo\Core\Car\Part\Catalogue;
use Skivo\Core\Findings\Belief;
use Skivo\Core\Findings\Ruling;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Simulation\CarModel;
use Skivo\Core\Simulation\Regime;
use Skivo\Core\Statistics\Estimate;
use Tests\Feature\FeatureTestCase;
use Tests\Scenario;

/** What is said of bench and findings, word for word. */
final class FindingWordingTest extends FeatureTestCase
{
    public function testEveryTestSaysHowItIsDoneAndWhatItGives(): void
    {
        $words = new BenchWords(UnitSystem::Metric);
        foreach (BenchTest::cases() as $test) {
            $source = $test === BenchTest::BandPull ? EnergySource::ElasticBand : EnergySource::Balloon;
            self::assertNotSame([], $words->steps($test, $source), $test->value);
            foreach ($words->steps($test, $source) as $step) {
                self::assertMatchesRegularExpression('/^[A-Z].*[.?!]$/u', $step);
            }
            self::assertNotSame('', $words->gives($test));
        }
        self::assertSame('Gives the friction f, in the place of what the parts say.', $words->gives(BenchTest::Ramp));
        self::assertSame('f = 0.098 ± 0.004', $words->result(BenchTest::Ramp, new Estimate(0.098, 0.002)));
        self::assertSame(
            "59 ± 4\u{00A0}mN, as of 6\u{00A0}g on a scale",
            $words->result(BenchTest::StaticThrust, new Estimate(0.0588399, 0.002)),
        );
        self::assertSame('1.20 ± 0.10 times the usual balloon’s pressure', $words->result(BenchTest::Pressure, new Estimate(1.2, 0.05)));
        self::assertSame("4.5 ± 0.2\u{00A0}s", $words->result(BenchTest::Spin, new Estimate(4.5, 0.1)));
        self::assertSame('estimated from the parts', $words->origin([]));
        self::assertSame('from the parts', $words->briefly([]));
        self::assertSame('by ramp and roll-out and tilt', $words->briefly([BenchTest::Ramp, BenchTest::Tilt]));
        self::assertSame('measured: tilt and steady pull', $words->origin([BenchTest::Tilt, BenchTest::Pull]));
        self::assertStringContainsString('oz on a scale', (new BenchWords(UnitSystem::Imperial))->thrust(new Estimate(0.05, 0.002)));
    }

    public function testMeasuredForcesAreHeldAgainstTheModel(): void
    {
        $words = new BenchWords(UnitSystem::Metric);
        $model = CarModel::of(new Car(), Catalogue::standard());
        $said = static fn(array $readings): ?string => ($sentence = $words->againstModel(Forces::of($model, $readings))) === null
            ? null
            : trim("{$sentence->lead} {$sentence->rest}");
        self::assertNull($said([]));
        $parts = $model->settings->rollingCoefficient();
        self::assertSame('It rolls with about the friction that its parts would have.', $said(['tilt' => [[$parts, 1.0]]]));
        self::assertStringStartsWith(
            'It rolls with 3.0 times the friction that its parts would have. Glue, tape',
            (string) $said(['tilt' => [[3 * $parts, 1.0]]]),
        );
        $thrust = $model->settings->design()->firstThrustN() / 9.80665;
        self::assertSame(
            'It is pushed by 1.2 times what a usual balloon gives through this nozzle.',
            $said(['static-thrust' => [[1.2 * $thrust]]]),
        );
        self::assertStringContainsString('is not one of this balloon', (string) $said(['static-thrust' => [[3.0]]]));
    }

    public function testChoicesAreSpokenOf(): void
    {
        foreach (CarAttribute::explaining() as $factor) {
            self::assertMatchesRegularExpression('/^(a|more of the) /', FactorWords::one($factor, true));
            self::assertNotSame(FactorWords::one($factor, true), FactorWords::one($factor, false));
        }
        self::assertSame('a lighter car', FactorWords::one(CarAttribute::Mass, false));
        self::assertSame('Wider bores', FactorWords::many(CarAttribute::NozzleBore, true));
        self::assertSame('3 outlets', FactorWords::value(CarAttribute::NozzleOutlets, '3', UnitSystem::Metric));
        self::assertSame("8\u{00A0}mm", FactorWords::value(CarAttribute::NozzleBore, 0.008, UnitSystem::Metric));
    }

    private const HEAD = "group,nozzle bore (mm),mass (g),wheels,balloon diameter (cm),try,distance (cm)\n";

    public function testTwoCarsAreTwoCars(): void
    {
        [$words, $findings, $schools] = $this->words(
            self::HEAD . self::tries(
                'Keel',
                '6,60,caps,20',
                [200, 204, 208],
            ) . self::tries('Reef', '8,60,caps,20', [300, 304, 308]) . self::tries(
                'Cleat',
                '12,220,lids,20',
                [150, 151, 152],
            ),
        );
        $few = 'Cars of 3 groups differ in it so far. It takes four groups, or two that change it on their own car.';
        self::assertSame("Nozzle bore: too few groups to say. {$few}", self::said($words->effects()[0][0]));
        self::assertSame("Can’t tell yet. {$few}", self::said($words->headline()));
        self::assertStringStartsWith(
            '3 groups ran cars that differ in nozzle bore. What else differed (',
            $words->howWeKnow($findings->found->asked ?? self::fail('Three cars differ in it.')),
        );
        self::assertSame($few, $schools->evidence(self::ruling($findings, Belief::WiderNozzle)));
    }

    /** What nobody recorded is taken from the parts, and silences nobody. */
    public function testWhatNobodyRecordedWidensTheAnswer(): void
    {
        $sheet = "group,nozzle bore (mm),try,distance (cm)\n";
        foreach (['A' => 6, 'B' => 8, 'C' => 8, 'D' => 6, 'E' => 6, 'F' => 8] as $group => $bore) {
            $sheet .= self::tries($group, (string) $bore, [100 * $bore - 400 + ord($group), 100 * $bore - 395 + ord($group)]);
        }
        [$words, $findings] = $this->words($sheet);
        self::assertTrue($findings->found->asked?->isPooled());
        self::assertCount(6, $findings->found->asked->cars());
        self::assertMatchesRegularExpression(
            '/^(Yes|It looks like it|Can’t tell yet)\. With 8.mm instead of 6.mm/u',
            self::said($words->headline()),
        );
    }

    public function testKindsAreNamed(): void
    {
        $sheet = self::HEAD;
        foreach ([0, 1, 2] as $index) {
            $sheet .= self::tries("L{$index}", '6,60,jar lids,20', [300 + $index, 302, 304]) . self::tries(
                "C{$index}",
                '6,60,bottle caps,20',
                [200, 202 + $index, 204],
            );
        }
        // A question of two kinds is not answered by a yes: the answer names the kind.
        [$asked] = $this->words($sheet, CarAttribute::WheelKind, ['asks_from' => 'bottle caps', 'asks_to' => 'jar lids']);
        self::assertSame('Cars with jar lids go farther.', $asked->headline()->lead);
        [$words] = $this->words($sheet, null);
        $effect = self::said($words->effects()[0][0]);
        self::assertStringStartsWith(
            "Cars with jar lids go farther. With jar lids instead of bottle caps a car goes about 100\u{00A0}cm farther, somewhere between",
            $effect,
        );
        self::assertSame($effect, self::said($words->headline()), 'what is clear comes first');
    }

    public function testAHeavierCarThatStaysBehindIsALighterOneThatLeads(): void
    {
        $sheet = self::HEAD;
        foreach ([0, 1, 2, 3] as $index) {
            $sheet .= self::tries(
                "L{$index}",
                '6,40,caps,20',
                [300 + 4 * $index, 302, 304],
            ) . self::tries("H{$index}", '6,60,caps,20', [200, 202 + $index, 204]);
        }
        [$words, $findings, $schools] = $this->words($sheet, CarAttribute::Mass);
        self::assertStringStartsWith('Yes.', self::said($words->headline()), 'a lighter car goes farther');
        self::assertMatchesRegularExpression(
            '/^With 60.g instead of 40.g a car goes about 10\\d.cm less far, somewhere between \\d\\d.cm and 1[0-3]\\d.cm\\.$/u',
            $words->size($findings->found->asked ?? self::fail('Like cars speak of it.')),
        );
        $light = self::ruling($findings, Belief::LighterCar);
        self::assertSame('supported here', $schools->verdict($light));
        self::assertStringStartsWith('By the model, a light car goes farther', (string) $words->why($findings->found->asked));
        [$other, $turned] = $this->words(str_replace([',40,', ',60,', ',41,'], [',41,', ',40,', ',60,'], $sheet), CarAttribute::Mass);
        self::assertSame('not supported here', $schools->verdict(self::ruling($turned, Belief::LighterCar)));
        self::assertStringStartsWith(
            'Model and class differ here. By the model, a light car goes farther',
            (string) $other->why($turned->found->asked ?? self::fail('It was asked.')),
        );
        self::assertSame('The model agrees for a car that spends its push on friction.', $schools->reason($light, Regime::Rolling));
        self::assertSame('The model has no opinion.', $schools->reason(self::ruling($findings, Belief::Joint), $schools->regime()));
        self::assertNotNull($findings->found->typical);
        self::assertSame('A light car goes farther', $schools->claim($light));
    }

    public function testHowTriesCountMayDecideWhoIsFirst(): void
    {
        [, , $schools] = $this->words(
            "group,try,distance\n" . self::tries('Lucky', null, [500, 200, 210]) . self::tries('Steady', null, [350, 352, 354]),
        );
        self::assertSame(
            'makes a difference By the best Lucky, by the mean Steady, by the median Steady.',
            self::said($schools->scoringVerdict()),
        );
        [, , $schools] = $this->words("group,try,distance\n" . self::tries('A', null, [500, 510]) . self::tries('B', null, [300, 310]));
        self::assertSame('makes no difference A comes first by each of them.', self::said($schools->scoringVerdict()));
        [, , $schools] = $this->words("group\nA\nB\n");
        self::assertSame('can’t tell No try counts yet.', self::said($schools->scoringVerdict()));
    }

    public function testAClassThatDiffersByChanceIsSaidToBeSo(): void
    {
        $sheet = "group,try,distance\n" . self::tries('A', null, [300, 340, 380]) . self::tries('B', null, [290, 320, 350]);
        foreach (['C', 'D', 'E', 'F'] as $name) {
            $sheet .= self::tries($name, null, [200, 300, 380]);
        }
        $challenge = Scenario::withClass(Scenario::challenge($this->educator), $sheet);
        $said = implode(
            ' | ',
            array_map(
                static fn(Sentence $sentence): string => self::said($sentence) . " {$sentence->small}",
                (new StandingWords(ClassRecord::of($challenge)))->soFar(),
            ),
        );
        self::assertStringContainsString('Too close to call: B, C, D and 2 more could be as good as A, at 95 %.', $said);
    }

    public function testWhoStopsShortIsToldWithWhatWasNoted(): void
    {
        $sheet = "group,nozzle bore (mm),mass (g),wheels,wheel diameter (mm),balloon diameter (cm),try,distance (cm),void\n";
        foreach (
            ['A' => 8.0, 'B' => 8.2, 'C' => 7.9, 'E' => 8.0, 'F' => 8.1, 'G' => 7.95, 'H' => 8.05, 'I' => 8.0, 'D' => 8.1] as $name => $bore
        ) {
            $distance = $name === 'D' ? 60 : 620;
            foreach ([1, 2, 3] as $try) {
                $sheet .= "{$name},{$bore},45,bottle caps,32,20,{$try}," . ($distance + 5 * $try) . ",\n";
            }
        }
        $sheet .= "D,8.1,45,bottle caps,32,20,4,,wheel off\n";
        [, $findings, , $model] = $this->words($sheet);
        $outside = array_map(static fn(array $each): string => self::said($each[0]), $model->outside());
        self::assertCount(1, $outside, 'and of no sound car');
        self::assertMatchesRegularExpression(
            '/^D stopped short: 70.cm, where 95 % of such cars stop between .* Noted: a void try\.$/u',
            $outside[0],
        );
        self::assertCount(9, $model->judged());
        $said = implode(' ', array_map(self::said(...), $model->hands()));
        self::assertMatchesRegularExpression(
            '/^Hands add 0\.\d{3} to the friction of a usual car here, beyond what its parts have \(0\.\d{3} to 0\.\d{3}\)\./',
            $said,
        );
        self::assertStringContainsString('8 of 9 cars whose friction was not measured stopped inside their band,', $said);
        self::assertNotSame([], $findings->found->works);
    }

    /** @return array{FindingWords, ClassFindings, BeliefWords, ModelWords} */
    private function words(string $sheet, ?CarAttribute $asks = CarAttribute::NozzleBore, array $kinds = []): array
    {
        $challenge = Scenario::withClass(Scenario::challenge($this->educator, ['asks' => $asks] + $kinds), $sheet);
        $record = ClassRecord::of($challenge);
        $findings = ClassFindings::of($record);

        $words = new FindingWords($record, $findings);

        return [$words, $findings, new BeliefWords($record, $findings, $words), new ModelWords($record, $findings, $words)];
    }

    private static function ruling(ClassFindings $findings, Belief $school): Ruling
    {
        return array_values(array_filter($findings->found->rulings, static fn(Ruling $ruling): bool => $ruling->belief === $school))[0];
    }

    private static function said(Sentence $sentence): string
    {
        return trim("{$sentence->lead} {$sentence->rest}");
    }

    /** @param list<int> $distances */
    private static function tries(string $group, ?string $choices, array $distances): string
    {
        $rows = '';
        foreach ($distances as $try => $distance) {
            $rows .= $group . ($choices === null ? '' : ",{$choices}") . ',' . ($try + 1) . ",{$distance}\n";
        }

        return $rows;
    }
}
