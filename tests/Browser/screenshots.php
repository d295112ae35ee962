<?php

declare(strict_types=1);

// Takes the pictures in docs/screenshots. Run by bin/skivo screenshots, which sets SITE, DRIVER and DEMO_PASSWORD.

use Facebook\WebDriver\WebDriverBy;
use Tests\Browser\Browser;
use Tests\Browser\FilmPage;

require __DIR__ . '/../../vendor/autoload.php';

$folder = $argv[1] ?? __DIR__ . '/../../docs/screenshots';
$browser = Browser::start((string) getenv('DRIVER'), (string) getenv('SITE'));

try {
    $browser->signIn('demo@skivo.example', (string) getenv('DEMO_PASSWORD'))->press('Cross the Slipway');
    $class = $browser->path();
    foreach ([
        'run' => '', 'findings' => '/findings', 'findings-work' => '/findings/work', 'report' => '/report', 'room' => '/room',
    ] as $name => $path) {
        $browser->visit($class . $path)->screenshot("{$folder}/{$name}.png");
    }
    $browser->visit("{$class}/plan")->waitFor('Of 100 such classes')->screenshot("{$folder}/plan.png");
    $browser->visit('/challenges/new')->pick('asks', 'wheel_diameter')->waitFor('of 100 classes', '[data-chance=free]')
        ->wait(static fn(): bool => !str_contains($browser->text('.way'), 'so far'), 120)
        ->screenshot("{$folder}/set-a-challenge.png");
    $browser->size(820, 1100)->visit($class)->screenshot("{$folder}/run-tablet.png");
    // Children's pages: an idea drawn and guessed at, and why a run stopped where it did, once it has played.
    $browser->visit("{$class}/groups/2/at/idea")->screenshot("{$folder}/group-idea.png");
    $browser->visit("{$class}/groups/2/at/why")
        ->wait(static fn(): bool => abs((float) $browser->driver->executeScript('return getComputedStyle(document.querySelector(".why-bar .in-warmth")).flexGrow') - 1.0) < 1e-6)
        ->screenshot("{$folder}/group-why.png");
    $browser->size(1280, 800)->visit("{$class}/groups")->press('Change car')->screenshot("{$folder}/car.png");
    $browser->visit("{$class}/check")->settle()->driver->findElement(WebDriverBy::cssSelector('a[aria-label="Look at Fender"]'))->click();
    $browser->press('What is wrong with it?');
    $browser->screenshot("{$folder}/diagnosis.png");
    // The demo's race, as it stood before its last two heats; then as it was.
    $browser->size(1280, 800)->visit("{$class}/races")->find('.race-list a')->click();
    $browser->wait(static fn(): bool => str_contains($browser->path(), '/races/'))->press('Open it again');
    for ($taps = 0; $taps < 2; $taps++) {
        $last = $browser->text('.heat-undo');
        $browser->driver->executeScript('document.querySelector(".heat-undo button").click()');
        $browser->wait(static fn(): bool => $browser->text('.heat-undo') !== $last);
    }
    $browser->visit($browser->path())->screenshot("{$folder}/race.png");
    $browser->press('End the race');
    // The board by its link.
    $browser->visit("{$class}/devices")->press('Make a link for the board');
    $browser->size(1280, 720)
        ->visit((string) parse_url($browser->text('.made a'), PHP_URL_PATH))
        ->screenshot("{$folder}/board.png")
        ->size(1280, 800);
    $browser->visit(
        "{$class}/dry-run?a=&b=nozzle_bore:0.006,wider_bore:0.009,widest_bore:0.012,nozzle_length:0.08,balloon_size:0.24,mass:0.045&x=nozzle_bore&y=mass",
    )
        ->settle()
        ->screenshot("{$folder}/dry-run.png");
    // A film of a run, by the stand-in for a phone, marked as somebody would.
    $film = sys_get_temp_dir() . '/skivo-run.mp4';
    $lanes = FilmPage::truth(FilmPage::film($film, [1280, 720], '--seed 9'))[0];
    $address = $browser->visit("{$class}/runs")->find('a[href$="/film"]')->getAttribute('href');
    $browser->visit((string) parse_url((string) $address, PHP_URL_PATH));
    (new FilmPage($browser))->choose($film)->mark($lanes)->read();
    $browser->driver->executeScript('document.querySelector("[data-film-result]").scrollIntoView()');
    $browser->screenshot("{$folder}/film.png");
    // What it says stays with the run, and is drawn on the floor that it ran on.
    // The demo's run is another than the stand-in's film: that it is kept all the same is said beforehand.
    $browser->driver->executeScript('document.querySelector("[data-film]").page.result.take.asked = true');
    $browser->press('Keep with the run')->waitFor('What the film says is with the run.', '.flash');
    $browser->driver->executeScript('document.querySelector(".film-said").scrollIntoView()');
    $browser->screenshot("{$folder}/trace.png");
    unlink($film);
    // The other challenge at the same place, with both drives.
    $browser->visit('/challenges')->press('Balloon or Band');
    $drives = $browser->path();
    $browser->visit("{$drives}/findings/sources")->screenshot("{$folder}/sources.png");
    $browser->visit("{$drives}/bench")
        ->press('Measure')->driver
        ->executeScript('document.getElementById("band-pull").scrollIntoView({ block: "start" })');
    $browser->screenshot("{$folder}/bench-band.png");
} finally {
    $browser->quit();
}
