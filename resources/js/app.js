/**
 * The one script of every page: what every page has, and, where a page has more, its own parts, loaded when they are there.
 */
import { attachErrors, attachUnits } from './pages/errors.js';
import { attachKeys } from './pages/keys.js';
import { attachMenus } from './pages/menu.js';
import { attachFollow, attachPrint } from './pages/forms.js';
import { attachTimes } from './pages/times.js';
import { attachWorking } from './pages/working.js';
import { attachAway } from './run-day/away.js';

/** What is loaded only where the page has something of it. */
const PARTS = [
    ['[data-floor]', async () => (await import('./figures/floor.js')).attachFloors],
    ['[data-relation]', async () => (await import('./figures/figure.js')).attachFigures],
    ['[data-save-svg]', async () => (await import('./figures/save-svg.js')).attachSaving],
    ['[data-entry]', async () => (await import('./run-day/entry.js')).attachEntry],
    ['[data-watch]', async () => (await import('./run-day/watch.js')).attachWatch],
    ['[data-live]', async () => (await import('./run-day/live.js')).attachLive],
    ['form[data-draw]', async () => (await import('./pages/build.js')).attachBuild],
    ['[data-grid]', async () => (await import('./pages/grid.js')).attachGrid],
    ['form[data-answers]', async () => (await import('./pages/answers.js')).attachAnswers],
    ['[data-take]', async () => (await import('./pages/build.js')).attachTake],
    ['[data-film]', async () => (await import('./film/page.js')).attachFilm],
    ['[data-sizing]', async () => (await import('./photo/page.js')).attachPhoto],
    ['[data-what-if]', async () => (await import('./what-if/bench.js')).attachWhatIf],
    ['form[data-outbox]', async () => (await import('./group/outbox.js')).attachOutbox],
    ['form[data-sketch]', async () => (await import('./group/sketch.js')).attachSketch],
    ['[data-guess-slider]', async () => (await import('./group/station.js')).attachGuess],
    ['[data-why]', async () => (await import('./group/station.js')).attachWhy],
    ['[data-clock]', async () => (await import('./group/station.js')).attachClocks],
    ['[data-again]', async () => (await import('./group/station.js')).attachAgain],
    ['[data-room]', async () => (await import('./group/room.js')).attachRoom],
    // After what listens to the fields that it puts back.
    ['form[data-keep]', async () => (await import('./pages/keep.js')).attachKeeping],
    ['[data-qr]', async () => (await import('./pages/qr.js')).attachCodes],
];

document.documentElement.classList.add('js');

attachErrors(document);
attachUnits(document);
attachKeys(document);
attachMenus(document);
attachTimes(document);
attachFollow(document);
attachPrint(document);
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
