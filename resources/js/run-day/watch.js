import { say } from '../words.js';
import { stopwatch } from './stopwatch.js';

/**
 * The stopwatch: starts at the release, splits at the timing line, stops where the car stops. Its times fill the run.
 */
export function attachWatch(root) {
    const watch = root.querySelector('[data-watch]');
    const form = root.querySelector('form.entry-form');
    if (watch === null || form === null) {
        return;
    }
    const shown = watch.querySelector('[data-watch-time]');
    const button = watch.querySelector('[data-watch-button]');
    const opener = root.querySelector('[data-watch-open]');
    const clock = stopwatch(form.dataset.timed === '1');

    const show = (milliseconds) => {
        shown.textContent = (milliseconds / 1000).toFixed(2);
    };
    const tick = () => {
        if (clock.isRunning()) {
            show(clock.reading(performance.now()));
            requestAnimationFrame(tick);
        }
    };
    const fill = (name, milliseconds) => {
        form.elements[name].value = (milliseconds / 1000).toFixed(2);
    };
    const reset = () => {
        clock.reset();
        show(0);
        button.textContent = say('watch.start');
    };
    const press = () => {
        // The moment of the press, before anything is drawn.
        const { did, time } = clock.press(performance.now());
        button.textContent = { split: say('watch.split'), stop: say('watch.stop'), again: say('watch.again') }[clock.next()];
        if (did === 'start') {
            tick();
        } else if (did === 'split') {
            fill('time', time);
        } else {
            show(time);
            fill('total_time', time);
            form.elements.distance.focus();
        }
    };
    const open = (isOpen) => {
        watch.hidden = !isOpen;
        opener.setAttribute('aria-expanded', String(isOpen));
        if (isOpen) {
            button.focus();
        }
    };
    opener.addEventListener('click', () => open(watch.hidden));
    // On the way down, as a hand feels it; the click that follows is the same press.
    button.addEventListener('pointerdown', (event) => {
        event.preventDefault();
        button.focus();
        press();
    });
    button.addEventListener('click', (event) => {
        if (event.detail === 0) {
            press();
        }
    });
    watch.querySelector('[data-watch-reset]').addEventListener('click', () => {
        reset();
        form.elements.time.value = form.elements.total_time.value = '';
    });
    document.addEventListener('keydown', (event) => {
        if (
            event.code === 'Space' &&
            !watch.hidden &&
            !event.repeat &&
            event.target.closest('input:not([type=hidden]), textarea, select, button, a') === null
        ) {
            event.preventDefault();
            press();
        }
    });
    document.addEventListener('skivo:cleared', reset);
}
