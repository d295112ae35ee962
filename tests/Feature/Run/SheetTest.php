<?php

declare(strict_types=1);

namespace Tests\Feature\Run;

use Illuminate\Http\UploadedFile;
use Tests\Feature\FeatureTestCase;
use Tests\Scenario;

final class SheetTest extends FeatureTestCase
{
    public function testASheetGoesOutAndComesInElsewhereTheSame(): void
    {
        $challenge = $this->class();
        $response = $this->get("/challenges/{$challenge->id}/sheet/csv?separator=semicolon")->assertOk();
        $csv = (string) $response->getContent();

        self::assertSame('text/csv; charset=utf-8', $response->headers->get('Content-Type'));
        self::assertStringContainsString('across-the-hall-class-sheet.csv', (string) $response->headers->get('Content-Disposition'));
        self::assertStringStartsWith("\u{FEFF}group;mark;version;chassis;wheels;\"wheel diameter (mm)\"", $csv);
        self::assertStringContainsString('no start', $csv);
        $copy = Scenario::withClass(Scenario::challenge($this->educator), $csv);
        self::assertSame($csv, $this->get("/challenges/{$copy->id}/sheet/csv?separator=semicolon")->getContent());
    }

    public function testThePreviewStoresNothing(): void
    {
        $challenge = Scenario::challenge($this->educator);
        $this->post("/challenges/{$challenge->id}/sheet/preview", ['text' => Scenario::SHEET])
            ->assertOk()->assertSee('This is what it adds')->assertSee('Halyard')->assertSee('Store all of it');

        self::assertSame(0, $challenge->groups()->count());
    }

    public function testAFileIsStoredAfterTheLook(): void
    {
        $challenge = Scenario::challenge($this->educator);
        $file = UploadedFile::fake()->createWithContent('class.csv', Scenario::SHEET);
        $this->post("/challenges/{$challenge->id}/sheet/preview", ['file' => $file])->assertOk()->assertSee('Store all of it');
        $this->post("/challenges/{$challenge->id}/sheet", ['text' => Scenario::SHEET])->assertRedirect("/challenges/{$challenge->id}")
            ->assertSessionHas('status', 'The table is in: 4 new groups, 12 runs.');

        self::assertSame(12, $challenge->runs()->count());
    }

    public function testOneFaultKeepsAllOfItOut(): void
    {
        $challenge = Scenario::challenge($this->educator);
        $text = Scenario::SHEET . "\nThimble,1,8,49,jar lids,1,far,,";
        $this->post("/challenges/{$challenge->id}/sheet", ['text' => $text])
            ->assertOk()->assertSee('One thing stands against it')->assertSee('“far” is not a length')->assertSee('Thimble,1,8,49');

        self::assertSame(0, $challenge->groups()->count());
    }

    public function testTheSameSheetTwiceAddsNothing(): void
    {
        $challenge = $this->class();
        $this->post(
            "/challenges/{$challenge->id}/sheet/preview",
            ['text' => Scenario::SHEET],
        )->assertSee('All of it is on record already.');
        $this->post("/challenges/{$challenge->id}/sheet", ['text' => Scenario::SHEET]);

        self::assertSame(12, $challenge->runs()->count());
    }

    public function testWhatContradictsTheRecordIsNamed(): void
    {
        $challenge = $this->class();
        $this->post(
            "/challenges/{$challenge->id}/sheet/preview",
            ['text' => "group,mass (g),try,distance (cm)\nKeel,60,1,118\nBowline,58,2,999\nnew,1,1,1"],
        )
            ->assertSee('Keel, version 1, is on record with a different value')
            ->assertSee('Bowline has another run on record as try 2');
    }

    public function testTheSheetFillsInWhatWasNotRecordedAndAddsRuns(): void
    {
        $challenge = $this->class();
        Scenario::withClass($challenge, "group,chassis,try,distance (cm)\nKEEL,bottle,3,140\n");
        $car = $challenge->groups()->where('name', 'Keel')->sole()->cars()->sole();

        self::assertSame('bottle', $car->choices->kinds['chassis']);
        self::assertSame(0.092, $car->choices->quantities['mass']->quantity->si());
        self::assertSame(4, $car->runs()->count());
    }

    public function testMarksComeAlongWhereTheyAreFree(): void
    {
        $challenge = Scenario::withClass(Scenario::challenge($this->educator), "group,mark\nA,ringed star\nB,\nC,ringed star\n");

        self::assertSame('star-ringed', $challenge->groups()->where('name', 'A')->value('mark'));
        self::assertCount(3, $challenge->groups()->pluck('mark')->unique());
    }

    public function testNothingGivenIsSaid(): void
    {
        $challenge = Scenario::challenge($this->educator);
        $this->post(
            "/challenges/{$challenge->id}/sheet/preview",
            ['text' => ' '],
        )->assertSessionHasErrors(['file' => 'Choose a CSV file, or paste the table.']);
        $big = UploadedFile::fake()->createWithContent('big.csv', str_repeat("group\n", 200_000));
        $this->post("/challenges/{$challenge->id}/sheet/preview", ['file' => $big])->assertOk()->assertSee('larger than 1 MB');
    }

    public function testASheetWithMoreGroupsThanAClassHoldsIsRefused(): void
    {
        $challenge = Scenario::challenge($this->educator);
        $this->post("/challenges/{$challenge->id}/sheet/preview", ['text' => Scenario::sheet(41, 1)])->assertSee('more than 40 groups');
    }
}
