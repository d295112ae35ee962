<?php

declare(strict_types=1);

namespace Tests\Feature\Build;

use App\Actions\AdmitDevices;
use App\Models\Challenge;
use App\Models\Group;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\People\DeviceRole;
use Tests\Feature\FeatureTestCase;
use Tests\Scenario;

/** A class that goes to the lane first and writes its cars down later keeps every try, whichever way it does so. */
final class RecordedLateTest extends FeatureTestCase
{
    /** @return array<string, array{string}> */
    public static function ways(): array
    {
        return [
            'the table of all cars' => ['table'], 'one car' => ['car'], 'a run table' => ['sheet'],
            'the group’s own tablet' => ['tablet'],
        ];
    }

    #[DataProvider('ways')]
    public function testTheFirstRecordOfACarThatHasRunIsTheRecordOfThatCar(string $way): void
    {
        [$challenge, $reef] = $this->atTheLane();
        $this->record($challenge, $reef, $way, ['nozzle_bore' => '8', 'mass' => '84'])->assertSessionHasNoErrors();
        self::assertSame([1, 3, 0.084], $this->stands($reef));
        // What was not known is added, and the runs stay with it.
        $this->record(
            $challenge,
            $reef,
            $way,
            ['nozzle_bore' => '8', 'mass' => '84', 'wheel_diameter' => '30'],
        )->assertSessionHasNoErrors();
        self::assertSame([1, 3, 0.084], $this->stands($reef));
        self::assertSame(0.03, $reef->newestCar()?->choices->number(CarAttribute::WheelDiameter));
    }

    #[DataProvider('ways')]
    public function testALaterChangeAsksAndNothingIsDoneMeanwhile(string $way): void
    {
        [$challenge, $reef] = $this->atTheLane();
        $this->record($challenge, $reef, $way, ['nozzle_bore' => '8', 'mass' => '84']);
        $answer = $this->record($challenge, $reef, $way, ['nozzle_bore' => '8', 'mass' => '92']);
        if ($way === 'sheet') {
            $answer->assertOk()->assertSee('is on record with a different value');
            self::assertSame([1, 3, 0.084], $this->stands($reef));

            return;
        }
        $answer->assertSessionHasErrors('save_as');
        self::assertSame([1, 3, 0.084], $this->stands($reef));
        $this->followRedirects($answer)->assertSee('or only these notes were wrong')->assertSee('value="92"', false);
        $this->record(
            $challenge,
            $reef,
            $way,
            ['nozzle_bore' => '8', 'mass' => '92', 'save_as' => 'correction'],
        )->assertSessionHasNoErrors();
        self::assertSame([1, 3, 0.092], $this->stands($reef));
        $this->record($challenge, $reef, $way, ['nozzle_bore' => '8', 'mass' => '99', 'save_as' => 'version'])->assertSessionHasNoErrors();
        self::assertSame([2, 0, 0.099], $this->stands($reef));
        // Changed back before it ran: the two are one again, and nobody has to be asked.
        $this->record($challenge, $reef, $way, ['nozzle_bore' => '8', 'mass' => '92'])->assertSessionHasNoErrors();
        self::assertSame([1, 3, 0.092], $this->stands($reef));
    }

    public function testAChangeThatNeverWasJoinsItsRunsToTheVersionBefore(): void
    {
        [$challenge, $reef] = $this->atTheLane();
        $this->record($challenge, $reef, 'car', ['mass' => '84']);
        $this->record($challenge, $reef, 'car', ['mass' => '92', 'save_as' => 'version']);
        $this->log($challenge, 'Reef', ['distance' => '240'])->assertSessionHasNoErrors();
        $this->post("/challenges/{$challenge->id}/groups/{$reef->id}/bench/pull", ['pull' => '2 g'])->assertSessionHasNoErrors();
        self::assertSame([2, 1, 0.092], $this->stands($reef));
        $this->record($challenge, $reef, 'car', ['mass' => '84', 'save_as' => 'correction'])->assertSessionHasNoErrors();
        self::assertSame([1, 4, 0.084], $this->stands($reef));
        self::assertSame([1, 2, 3, 4], $reef->newestCar()?->runs()->reorder('try')->pluck('try')->all());
        // Built again as it once was, after it ran otherwise, it is a further version: what ran between stays apart.
        $this->record($challenge, $reef, 'car', ['mass' => '92', 'save_as' => 'version']);
        $this->log($challenge, 'Reef', ['distance' => '241']);
        $this->record($challenge, $reef, 'car', ['mass' => '84', 'save_as' => 'version']);
        self::assertSame([3, 0, 0.084], $this->stands($reef));
    }

    public function testTheTableAsksOnceForAllCarsThatChangedAndSavesNoneBefore(): void
    {
        [$challenge, $reef, $keel] = $this->atTheLane();
        $table = fn(string $reefs, string $keels): array => [
            'columns' => 'mass', "name_{$reef->id}" => 'Reef', "name_{$keel->id}" => 'Keel', "mass_{$reef->id}" => $reefs,
            "mass_{$keel->id}" => $keels,
        ];
        $page = "/challenges/{$challenge->id}/cars";
        $this->put($page, $table('84', '60'))->assertSessionHasNoErrors();
        $answer = $this->put($page, $table('92', '66'))->assertSessionHasErrors('save_as');
        $this->followRedirects($answer)->assertSee('Reef: ')->assertSee('Keel: ')->assertSee("92\u{A0}g")->assertSee("66\u{A0}g");
        self::assertSame([[1, 3, 0.084], [1, 3, 0.06]], [$this->stands($reef), $this->stands($keel)]);
        $this->put($page, $table('92', '66') + ['save_as' => 'correction'])->assertSessionHas('status', '2 cars are recorded.');
        self::assertSame([[1, 3, 0.092], [1, 3, 0.066]], [$this->stands($reef), $this->stands($keel)]);
    }

    /** @return array{Challenge, Group, Group} a class that ran before anything was recorded */
    private function atTheLane(): array
    {
        $challenge = Scenario::challenge($this->educator);
        $this->post("/challenges/{$challenge->id}/groups", ['names' => "Reef\nKeel"]);
        foreach (['Reef' => ['231', '225', '238'], 'Keel' => ['180', '190', '185']] as $group => $distances) {
            foreach ($distances as $distance) {
                $this->log($challenge, $group, ['distance' => $distance])->assertSessionHasNoErrors();
            }
        }

        return [$challenge, $this->named($challenge, 'Reef'), $this->named($challenge, 'Keel')];
    }

    /** @param array<string, string> $typed */
    private function record(Challenge $challenge, Group $group, string $way, array $typed): TestResponse
    {
        $path = "/challenges/{$challenge->id}";
        $fields = array_diff_key($typed, ['save_as' => '']);
        if ($way === 'table') {
            $cells = array_combine(array_map(static fn(string $key): string => "{$key}_{$group->id}", array_keys($fields)), $fields);

            return $this->put("{$path}/cars", $cells + array_intersect_key($typed, ['save_as' => '']) + [
                'columns' => implode(',', array_keys($fields)), "name_{$group->id}" => 'Reef',
                'name_' . $this->named($challenge, 'Keel')->id => 'Keel',
            ]);
        }
        if ($way === 'sheet') {
            $names = ['nozzle_bore' => 'nozzle bore (mm)', 'mass' => 'mass (g)', 'wheel_diameter' => 'wheel diameter (mm)'];
            $text = implode(
                ',',
                ['group', ...array_map(static fn(string $key): string => $names[$key], array_keys($fields))],
            ) . "\nReef," . implode(',', $fields);
            $preview = $this->post("{$path}/sheet/preview", ['text' => $text])->assertOk();
            $answer = $this->post("{$path}/sheet", ['text' => $text]);
            $answer->isRedirect() ? $preview->assertSee('Store all of it') : $preview->assertDontSee('Store all of it');

            return $answer;
        }
        if ($way === 'tablet') {
            [$device] = AdmitDevices::join($challenge, DeviceRole::Group, 'tablet', $group);
            $this->atDevice($device);
        }
        $answer = $this->put("{$path}/groups/{$group->id}/car", $typed);

        return $answer;
    }

    /** @return array{int, int, float|null} its newest version, how often that ran, and its mass */
    private function stands(Group $group): array
    {
        $car = $group->newestCar();

        return [$car->version ?? 0, $car?->runs()->count() ?? 0, $car?->choices->number(CarAttribute::Mass)];
    }
}
