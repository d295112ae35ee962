<?php

declare(strict_types=1);

namespace Tests\Browser;

use App\Models\Run;
use Skivo\Core\Car\Attribute\EnergySource;
use Skivo\Core\Challenge\InflationKind;

/** A car's balloon comes off and a band drives it: built, measured, run and compared in the real browser. */
final class DrivesTest extends BrowserTestCase
{
    private const SHEET
        = "group,source of energy,nozzle bore (mm),balloon diameter (cm),mass (g),wheels,wheel diameter (mm),try,distance (cm)\nBowline,balloon,8,20,58,bottle caps,32,1,329\nBowline,,,,,,,2,341\nKeel,balloon,7,20,60,bottle caps,32,1,290\nKeel,,,,,,,2,281\n";

    public function testABandIsBuiltMeasuredRunAndComparedWithTheBalloonItReplaced(): void
    {
        $challenge = $this->class(['tries' => 2], self::SHEET);
        $keel = $challenge->groups()->where('name', 'Keel')->sole();
        $this->signIn()->visit("/challenges/{$challenge->id}/groups/{$keel->id}/car");
        $browser = $this->browser;
        $isShown = static fn(string $name): bool => $browser->driver->executeScript(
            'const f = document.querySelector(`[name="${arguments[0]}"]`); return f !== null && f.getClientRects().length > 0;',
            [$name],
        );

        // Only what belongs to its drive is asked, and the drawing follows.
        $browser->find('a[data-part=power]')->click();
        self::assertSame([true, false], [$isShown('balloon_size'), $isShown('turns_wound')]);
        self::assertCount(1, $browser->all('.steps [data-part=nozzle]'));
        $browser->driver->executeScript("document.querySelector('[name=energy_source][value=\"elastic band\"]').click()");
        $browser->wait(fn(): bool => $isShown('turns_wound') && !$isShown('balloon_size'));
        $browser->wait(
            fn(): bool => count($this->browser->all('[data-drawing] .elastic')) > 0
                && count($this->browser->all('[data-drawing] .skin')) === 0,
        );
        self::assertFalse(
            $browser->driver->executeScript("return document.querySelector('.steps [data-part=nozzle]').getClientRects().length > 0"),
        );
        foreach (
            [
                'bands_in_chain' => '2', 'band_length' => '5.5 cm', 'band_width' => '1 mm', 'band_thickness' => '0.8 mm',
                'turns_wound' => '24',
            ] as $name => $typed
        ) {
            $browser->fill($name, $typed);
        }
        $browser->driver->executeScript("document.querySelector('[name=tyre][value=\"rubber band\"]').click()");
        $browser->pick('save_as', 'version')->press('Record this car');
        $car = $keel->refresh()->newestCar();
        self::assertSame(
            [2, EnergySource::ElasticBand, 24.0],
            [$car?->version, $car?->choices->source(), $car?->choices->number(\Skivo\Core\Car\Attribute\CarAttribute::TurnsWound)],
        );

        // Its pull on the bench, there and back.
        $browser->visit("/challenges/{$challenge->id}/groups/{$keel->id}/bench");
        $browser->find('#band-pull summary')->click();
        foreach ([['6', '75 g', '61 g'], ['14', '140 g', '115 g'], ['24', '220 g', '180 g']] as $row => $readings) {
            foreach ($readings as $index => $typed) {
                $browser->find("#band-pull-{$row}-{$index}")->sendKeys($typed);
            }
        }
        $browser->press('Save pull of the band');
        $browser->waitFor('Pull of the band of Keel is saved.');
        self::assertCount(1, $browser->all('.band-curve .winding'));
        self::assertStringContainsString('comes back', $browser->text('#band-pull'));

        // The strip knows by how many turns it is wound, and asks for no size.
        $browser->visit("/challenges/{$challenge->id}");
        foreach (['431', '440'] as $distance) {
            $browser->driver->executeScript(
                "const group = document.querySelector('#entry-form [name=group]'); group.value = arguments[0]; group.dispatchEvent(new Event('change', {bubbles: true}))",
                [(string) $keel->id],
            );
            $browser->wait(static fn(): bool => $browser->find('[name=inflation_strokes]')->getAttribute('value') === '24');
            self::assertSame([true, false], [$isShown('inflation_strokes'), $isShown('inflation_size')]);
            $logged = Run::query()->where('car_id', $car?->id)->count();
            $browser->fill('distance', $distance);
            $browser->find('.button.log')->click();
            $browser->wait(static fn(): bool => Run::query()->where('car_id', $car?->id)->count() > $logged);
        }
        self::assertSame(
            [InflationKind::Turns, 24],
            [
                Run::query()->where('car_id', $car?->id)->first()?->inflation_kind,
                Run::query()->where('car_id', $car?->id)->first()?->inflation_strokes,
            ],
        );

        // Both stand side by side, and the figure of why they stopped has both.
        $browser->visit("/challenges/{$challenge->id}/findings")->press('For the curious')->press('Balloon or band');
        self::assertCount(3, $browser->all('.source-table thead th, .source-table thead td'));
        self::assertStringContainsString('Energy put in', $browser->text('.source-table'));
        $browser->size(390, 800)->visit("/challenges/{$challenge->id}/findings/sources");
        self::assertFalse(
            $browser->driver->executeScript('return document.documentElement.scrollWidth > document.documentElement.clientWidth'),
            'nothing sticks out of a phone',
        );
        $browser->size(1280, 800)->visit("/challenges/{$challenge->id}/findings/work");
        self::assertCount(3, $browser->all('.work-row[data-car]'));
    }

    public function testDryRunTurnsFromBalloonToBandAndBack(): void
    {
        $challenge = $this->class([], self::SHEET);
        $this->signIn()->visit("/challenges/{$challenge->id}/dry-run")->settle();
        $browser = $this->browser;
        $isShown = static fn(string $key): bool => $browser->driver->executeScript(
            'return document.querySelector(`[data-setting="${arguments[0]}"]`).getClientRects().length > 0',
            [$key],
        );
        self::assertSame([true, false], [$isShown('nozzle_bore'), $isShown('turns_wound')]);
        $drive = static function (string $number) use ($browser): void {
            $browser->driver->executeScript(
                "const s = document.querySelector('[data-source]'); s.value = arguments[0]; s.dispatchEvent(new Event('change', {bubbles: true}))",
                [$number],
            );
            $browser->settle();
        };
        $mass = $browser->find('[data-setting=mass] [data-field]')->getAttribute('value');
        $drive('1');
        self::assertSame(
            [false, true, $mass],
            [$isShown('nozzle_bore'), $isShown('turns_wound'), $browser->find('[data-setting=mass] [data-field]')->getAttribute('value')],
        );
        self::assertStringContainsString('Energy wound up', $browser->text('[data-energy]'));
        self::assertGreaterThan(0, count($browser->all('[data-side] .elastic')));
        // The address holds it: opened again it is the same.
        $said = $browser->text('[data-number]');
        self::assertStringContainsString('energy_source%3A1', $browser->driver->getCurrentURL());
        $browser->driver->navigate()->refresh();
        $browser->settle();
        self::assertSame($said, $browser->text('[data-number]'));
        $drive('2');
        self::assertStringContainsString('Energy lifted', $browser->text('[data-energy]'));
        $drive('0');
        self::assertSame([true, false], [$isShown('nozzle_bore'), $isShown('turns_wound')]);
    }
}
