/**
 * The one script of every page: what every page has, and, where a page has more, its own parts, loaded when they are there.
 */
import { attachErrors, attachUnits } from './frame/errors.js';
import { attachKeys } from './frame/keys.js';
import { attachMenus } from './frame/menu.js';
import { attachCopy, attachFollow, attachPrint } from './frame/forms.js';
import { attachTimes } from './frame/times.js';
import { attachWorking } from './frame/working.js';
import { attachAway } from './run/away.js';

/** What is loaded only where the page has something of it. */
const PARTS = [
    ['[data-floor]', async () => (await import('./figures/floor.js')).attachFloors],
    ['[data-relation]', async () => (await import('./figures/figure.js')).attachFigures],
    ['[data-save-svg]', async () => (await import('./figures/save-svg.js')).attachSaving],
    ['[data-entry]', async () => (await import('./run/entry.js')).attachEntry],
    ['[data-watch]', async () => (await import('./run/watch.js')).attachWatch],
    ['[data-live]', async () => (await import('./run/live.js')).attachLive],
    ['form[data-draw]', async () => (await import('./build/car.js')).attachBuild],
    ['[data-designs]', async () => (await import('./plan/designs.js')).attachDesigns],
    ['[data-later]', async () => (await import('./frame/later.js')).attachLater],
    ['[data-day]', async () => (await import('./frame/days.js')).attachDays],
    ['[data-grid]', async () => (await import('./build/grid.js')).attachGrid],
    ['form[data-answers]', async () => (await import('./frame/answers.js')).attachAnswers],
    ['[data-take]', async () => (await import('./build/car.js')).attachTake],
    ['[data-film]', async () => (await import('./film/page.js')).attachFilm],
    ['[data-sizing]', async () => (await import('./build/photo.js')).attachPhoto],
    ['[data-dry-run]', async () => (await import('./dry-run/bench.js')).attachDryRun],
    ['form[data-outbox]', async () => (await import('./group/outbox.js')).attachOutbox],
    ['form[data-sketch]', async () => (await import('./group/sketch.js')).attachSketch],
    ['[data-guess-slider]', async () => (await import('./group/station.js')).attachGuess],
    ['[data-why]', async () => (await import('./group/station.js')).attachWhy],
    ['[data-clock]', async () => (await import('./group/station.js')).attachClocks],
    ['[data-again]', async () => (await import('./group/station.js')).attachAgain],
    ['[data-room]', async () => (await import('./room/room.js')).attachRoom],
    // After what listens to the fields that it puts back.
    ['form[data-keep]', async () => (await import('./frame/keep.js')).attachKeeping],
    ['[data-qr]', async () => (await import('./frame/qr.js')).attachCodes],
];

document.documentElement.classList.add('js');

attachErrors(document);
attachUnits(document);
attachKeys(document);
attachMenus(document);
attachTimes(document);
attachFollow(document);
attachPrint(document);
attachCopy(document);
attachWorking(document);

const parts = PARTS.filter(([selector]) => document.querySelector(selector) !== null).map(([, load]) => load());
(async () => {
    // In the order above, whichever comes first: the entry strip listens before the page goes live.
    for (const part of parts) {
        (await part)(document);
    }
    attachAway(document);
    document.documentElement.dataset.ready = '';
})();
