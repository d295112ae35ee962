<?php

declare(strict_types=1);

namespace Tests\Feature\Build;

use App\Actions\AdmitDevices;
use Skivo\Core\People\DeviceRole;
use Tests\Feature\FeatureTestCase;
use Tests\Scenario;

/** Sizes of a car from a photograph. */
final class CarPhotoTest extends FeatureTestCase
{
    public function testLengthsAreMeasuredByWhatIsKnownAndStandInTheBuildSheet(): void
    {
        $challenge = Scenario::withClass(
            Scenario::challenge($this->educator),
            "group,nozzle bore (mm),balloon diameter (cm),mass (g)\nKeel,8,20,60\n",
        );
        $group = $challenge->groups()->sole();
        $address = "/challenges/{$challenge->id}/groups/{$group->id}/car/photo";
        $this->get($address)->assertOk()->assertSee('The photo stays on this device.');
        $answer = $this->postJson(
            $address,
            $this->sent(
                [['px' => 1200, 'length' => '30 cm']],
                [['px' => 192, 'part' => 'wheel_diameter'], ['px' => 640, 'part' => 'wheelbase'], ['px' => 2, 'part' => 'track']],
            ),
        )->assertOk();
        self::assertSame("48 ± 2\u{00A0}mm", $answer->json('sizes.0'));
        self::assertStringStartsWith('16', $answer->json('sizes.1'));
        self::assertSame('too short in the photo to tell', $answer->json('sizes.2'));
        self::assertNull($answer->json('note'));
        $this->get($answer->json('sheet'))
            ->assertOk()
            ->assertSee('The sizes from the photo stand in the fields.')
            ->assertSee('value="48 mm"', false)
            ->assertSee('value="16 cm"', false);
        self::assertArrayNotHasKey(
            'wheel_diameter',
            $group->fresh()?->currentCar()?->choices->quantities ?? [],
            'nothing is saved before somebody saves it',
        );
        self::assertNotNull(
            $this->postJson(
                $address,
                $this->sent([['px' => 1200, 'length' => '30 cm'], ['px' => 400, 'length' => '14 cm']], []),
            )->json('note'),
            'known lengths that disagree',
        );
    }

    public function testWhatIsMissingIsSaid(): void
    {
        $challenge = Scenario::withClass(
            Scenario::challenge($this->educator),
            "group,nozzle bore (mm),balloon diameter (cm),mass (g)\nKeel,8,20,60\nReef,8,20,60\n",
        );
        [$keel, $reef] = $challenge->groups()->orderBy('position')->get();
        $address = "/challenges/{$challenge->id}/groups/{$keel->id}/car/photo";
        self::assertSame('Say first how long something in the photo is.', $this->postJson($address, $this->sent([], []))->json('fault'));
        $part = ['px' => 100, 'part' => 'wheelbase'];
        $this->postJson($address, $this->sent([['px' => 1200, 'length' => 'long']], [$part]))
            ->assertStatus(422)
            ->assertJsonValidationErrors('known.0.length');
        $this->postJson($address, $this->sent([['px' => 1200, 'length' => '40 m']], [$part]))
            ->assertStatus(422)
            ->assertJsonValidationErrors('known.0.length');
        $this->postJson($address, $this->sent([['px' => 1200, 'length' => '30 cm']], [['px' => 100, 'part' => 'note']]))
            ->assertStatus(422)
            ->assertJsonValidationErrors('parts.0.part');
        // Another group's tablet measures its own car alone.
        $this->atDevice(AdmitDevices::join($challenge, DeviceRole::Group, 'tablet', $reef)[0]);
        $this->get($address)->assertNotFound();
        $this->get("/challenges/{$challenge->id}/groups/{$reef->id}/car/photo")->assertOk();
    }

    /**
     * @param list<array<string, mixed>> $known
     * @param list<array<string, mixed>> $parts
     *
     * @return array<string, mixed>
     */
    private function sent(array $known, array $parts): array
    {
        return [
            'seen' => json_encode(['known' => $known, 'parts' => $parts], JSON_THROW_ON_ERROR), 'per_screen_px' => 2.0,
            'typed_in' => 'metric',
        ];
    }
}
