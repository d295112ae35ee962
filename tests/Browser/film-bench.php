<?php

declare(strict_types=1);

// How fast a film is read. Run by bin/skivo bench --film, which sets SITE, DRIVER and DEMO_PASSWORD.

use Tests\Browser\Browser;
use Tests\Browser\FilmPage;

require __DIR__ . '/../../vendor/autoload.php';

// Scenes that last about ten seconds at 30 pictures a second.
const SEEDS = [131, 300, 328];
const SIZE = [1920, 1080];

$browser = Browser::start((string) getenv('DRIVER'), (string) getenv('SITE'));
$file = sys_get_temp_dir() . '/skivo-film-' . bin2hex(random_bytes(4)) . '.mp4';
try {
    $browser->signIn('demo@skivo.example', (string) getenv('DEMO_PASSWORD'))->press('Cross the Slipway');
    $address = (string) $browser->visit($browser->path() . '/runs')->find('a[href$="/film"]')->getAttribute('href');
    printf("A film of %d × %d, from the tap on Read to what it says, beside the same film played once and nothing read:\n", ...SIZE);
    foreach (SEEDS as $seed) {
        $lanes = FilmPage::truth(FilmPage::film($file, SIZE, "--seed {$seed}"))[0];
        $page = (new FilmPage($browser->visit((string) parse_url($address, PHP_URL_PATH))))->choose($file)->mark($lanes);
        $lasts = (float) $browser->driver->executeScript('return document.querySelector("[data-film-video]").duration');
        $began = microtime(true);
        $refused = $page->read();
        $read = microtime(true) - $began;
        $began = microtime(true);
        $browser->driver->executeScript(
            'const video = document.querySelector("[data-film-video]"); [video.currentTime, video.playbackRate] = [0, 1]; video.play();',
        );
        $browser->driver->wait(60)->until(
            static fn(): bool => $browser->driver->executeScript('return document.querySelector("[data-film-video]").ended'),
        );
        $played = microtime(true) - $began;
        printf("  %4.1f s of film: read in %4.1f s, played in %4.1f s%s\n", $lasts, $read, $played, $refused === '' ? '' : " ({$refused})");
    }
} finally {
    @unlink($file);
    $browser->quit();
}
