import { say } from '../words.js';
import { stopwatch } from './stopwatch.js';

/**
 * The stopwatch: starts at the release, splits at the timing line, stops where the car stops. Its times fill the run.
 */
export function attachWatch(root) {
    const watch = root.querySelector('[data-watch]');
    const form = root.querySelector('form.entry-form');
    if (watch !== null && form !== null) {
        new Watch(watch, form, root.querySelector('[data-watch-open]')).start();
    }
}

class Watch {
    constructor(watch, form, opener) {
        this.watch = watch;
        this.fields = form.elements;
        this.opener = opener;
        this.shown = watch.querySelector('[data-watch-time]');
        this.button = watch.querySelector('[data-watch-button]');
        this.clock = stopwatch(form.dataset.timed === '1');
    }

    start() {
        this.opener.addEventListener('click', () => this.#open(this.watch.hidden));
        // On the way down, as a hand feels it; the click that follows is the same press.
        this.button.addEventListener('pointerdown', (event) => {
            event.preventDefault();
            this.button.focus();
            this.#press();
        });
        this.button.addEventListener('click', (event) => {
            if (event.detail === 0) {
                this.#press();
            }
        });
        this.watch.querySelector('[data-watch-reset]').addEventListener('click', () => {
            this.#reset();
            this.fields.time.value = this.fields.total_time.value = '';
        });
        document.addEventListener('keydown', (event) => this.#key(event));
        document.addEventListener('skivo:cleared', () => this.#reset());
    }

    #open(isOpen) {
        this.watch.hidden = !isOpen;
        this.opener.setAttribute('aria-expanded', String(isOpen));
        if (isOpen) {
            this.button.focus();
        }
    }

    #key(event) {
        const isBusy = event.target.closest('input:not([type=hidden]), textarea, select, button, a') !== null;
        if (event.code === 'Space' && !this.watch.hidden && !event.repeat && !isBusy) {
            event.preventDefault();
            this.#press();
        }
    }

    #press() {
        // The moment of the press, before anything is drawn.
        const { did, time } = this.clock.press(performance.now());
        this.button.textContent = { split: say('watch.split'), stop: say('watch.stop'), again: say('watch.again') }[this.clock.next()];
        if (did === 'start') {
            this.#tick();
        } else if (did === 'split') {
            this.fields.time.value = inSeconds(time);
        } else {
            this.#show(time);
            this.fields.total_time.value = inSeconds(time);
            this.fields.distance.focus();
        }
    }

    #tick() {
        if (this.clock.isRunning()) {
            this.#show(this.clock.reading(performance.now()));
            requestAnimationFrame(() => this.#tick());
        }
    }

    #show(milliseconds) {
        this.shown.textContent = inSeconds(milliseconds);
    }

    #reset() {
        this.clock.reset();
        this.#show(0);
        this.button.textContent = say('watch.start');
    }
}

const inSeconds = (milliseconds) => (milliseconds / 1000).toFixed(2);
