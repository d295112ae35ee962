<?php

declare(strict_types=1);

namespace Tests\Feature\Findings;

use App\Actions\AdmitDevices;
use App\Models\Challenge;
use PHPUnit\Framework\Attributes\DataProvider;
use Skivo\Core\Challenge\Goal;
use Skivo\Core\Challenge\Scoring;
use Skivo\Core\People\DeviceRole;
use Tests\Feature\FeatureTestCase;
use Tests\Scenario;

/** Findings, report, board and files hold for classes that no statistics book thinks of. */
final class OddClassesTest extends FeatureTestCase
{
    /** Distances (cm) of the tries of each car; null for a void one, which may have a distance. */
    private const CLASSES = [
        'a zero as the only try' => [[0]],
        'one run of one car' => [[212]],
        'all zeros' => [[0, 0, 0], [0, 0, 0], [0, 0, 0], [0, 0, 0]],
        'one zero each' => [[0], [0], [0], [0]],
        'zeros and others' => [[0, 0, 0], [212, 0, 230], [0], [150, 160, 170]],
        'all equal' => [[200, 200, 200], [200, 200, 200], [200, 200, 200], [200, 200, 200], [200, 200, 200]],
        'equal within, unlike between' => [[100, 100, 100], [200, 200, 200], [300, 300, 300]],
        'one each' => [[100], [210], [290], [400], [150]],
        'huge' => [[10000, 9999, 10000], [10000, 10000, 9000], [1, 9999, 10000]],
        'tiny and huge' => [[0.1, 0.1, 0.1], [10000, 10000, 10000], [0.1, 10000, 5]],
        'two cars' => [[100, 120, 110], [130, 128, 150]],
    ];

    /** @return iterable<string, array{list<list<float>>, bool}> */
    public static function classes(): iterable
    {
        foreach (self::CLASSES as $name => $distances) {
            yield "{$name}, bores unlike" => [$distances, true];
            yield "{$name}, cars alike" => [$distances, false];
        }
    }

    /** @param list<list<float>> $distances */
    #[DataProvider('classes')]
    public function testEveryPageOfItAnswersAndSaysNoNonsense(array $distances, bool $differ): void
    {
        $sheet
            = "group,version,nozzle bore (mm),mass (g),wheels,wheel diameter (mm),balloon diameter (cm),try,distance (cm),time (s),drift (cm),drift side,load carried (g),limp mark (cm),void\n";
        foreach ($distances as $car => $tries) {
            foreach ($tries as $index => $distance) {
                $time = $index === 0 && $distance > 0 ? number_format(0.5 + $distance / 3000, 2) : '';
                $sheet .= "Car {$car},1," . ($differ ? 5 + $car : 6) . ',' . (
                    60 + ($differ ? 7 * ($car % 2) : 0)
                ) . ',bottle caps,32,20,' . ($index + 1) . ",{$distance},{$time}," . (
                    $index === 1 ? '3,left' : ','
                ) . ',' . ($index === 0 ? 20 : '') . ',' . (
                    $index === 0 && $distance > 1 ? round($distance / 3, 1) : ''
                ) . ",\n";
            }
        }
        $sheet .= "Car 0,1,,,,,,1,,,,,,,no start\n";
        $challenge = Scenario::challenge($this->educator, [
            'awards' => [Goal::Fastest->value, Goal::Straightest->value, Goal::NearestMark->value, Goal::HeaviestLoad->value],
            'timed_length' => Scenario::entry('1 m'), 'mark_distance' => Scenario::entry('2 m'), 'load_length' => Scenario::entry('1 m'),
            'scoring' => $differ
                ? Scoring::Mean
                : Scoring::Best,
        ]);
        $preview = $this->post("/challenges/{$challenge->id}/sheet/preview", ['text' => $sheet])->assertOk();
        $this->post("/challenges/{$challenge->id}/sheet", ['text' => $sheet])->assertRedirect();
        self::assertSame(array_sum(array_map(count(...), $distances)) + 1, $challenge->runs()->count(), (string) $preview->getContent());
        $this->everyPageHolds($challenge);
    }

    /** It ran before anything was recorded, then wrote half of it down, and spelt one wheel in three ways. */
    public function testANaturalClassIsAnsweredOnEveryPage(): void
    {
        $challenge = Scenario::withClass(Scenario::challenge($this->educator), "group\nKeel\nReef\nTern\nSkua\n");
        $went = ['Keel' => [251, 262], 'Reef' => [318, 305], 'Tern' => [402, 420], 'Skua' => [636, 610]];
        foreach ($went as $group => $distances) {
            foreach ($distances as $distance) {
                $this->log($challenge, $group, ['distance' => (string) $distance, 'confirmed' => 'distance'])->assertSessionHasNoErrors();
            }
        }
        foreach (
            [
                'Keel' => ['wheel_kind' => 'CD', 'mass' => '124'], 'Reef' => ['wheel_kind' => 'cds'],
                'Tern' => ['wheel_kind' => 'Compact disc', 'mass' => '58'],
            ] as $group => $typed
        ) {
            $path = "/challenges/{$challenge->id}/groups/{$this->named($challenge, $group)->id}/car";
            $this->put($path, $typed + ['save_as' => 'correction'])->assertSessionHasNoErrors();
        }
        self::assertSame(8, $challenge->runs()->count());
        self::assertSame(
            4,
            $challenge->groups()->withCount('cars')->get()->sum('cars_count'),
            'a first record is the record of the car that ran',
        );
        $this->everyPageHolds($challenge);
        foreach ($challenge->groups as $group) {
            $page = (string) $this->get("/challenges/{$challenge->id}/groups/{$group->id}/at/why")->assertOk()->getContent();
            self::assertStringNotContainsString('data-silence="odd"', $page, "{$group->name}: an ordinary run is not odd");
        }
    }

    private function everyPageHolds(Challenge $challenge): void
    {
        [, $board] = AdmitDevices::join($challenge, DeviceRole::Board, 'board');
        $group = $challenge->groups()->firstOrFail();

        $path = "/challenges/{$challenge->id}";
        foreach ([
            '', '/floor', '/runs', '/findings', '/findings?tries=void', '/findings?tries=outliers', '/findings/choices',
            '/findings/choices?against=mass', '/findings/choices?of=time', '/findings/work', '/findings/work?by=push', '/findings/work.svg',
            '/findings/class.json', '/findings/csv/answer', '/findings/beliefs', '/findings/sure', '/findings/awards', '/findings/csv/work',
            '/findings/csv/choice', '/findings/csv/model',
            '/report', '/report/notebooks', '/report/certificates', '/bench', '/bench/csv', '/sheet/csv', '/dry-run', '/check',
            '/plan/timetable', "/groups/{$group->id}/diagnosis", "/groups/{$group->id}/own",
        ] as $page) {
            $said = (string) $this->get($path . $page)->assertOk()->getContent();
            self::assertDoesNotMatchRegularExpression('/\bNAN\b|\bINF\b|\bnan\b|\binf\b(?!o)/', strip_tags($said), $page);
        }
        foreach (['1', '0'] as $tell) {
            $this->put("{$path}/findings/tell", ['tell' => $tell])->assertRedirect();
            foreach (["/board/{$board}", "/board/{$board}/state"] as $page) {
                $this->get($page)->assertOk();
            }
        }
    }
}
