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
    const splits = form.dataset.timed === '1';
    let started = null;
    let split = null;
    let stopped = null;

    const show = (milliseconds) => {
        shown.textContent = (milliseconds / 1000).toFixed(2);
    };
    const tick = () => {
        if (started !== null && stopped === null) {
            show(performance.now() - started);
            requestAnimationFrame(tick);
        }
    };
    const fill = (name, milliseconds) => {
        form.elements[name].value = (milliseconds / 1000).toFixed(2);
    };
    const reset = () => {
        started = split = stopped = null;
        show(0);
        button.textContent = 'Start';
    };
    const press = () => {
        // The moment of the press, before anything is drawn.
        const now = performance.now();
        if (stopped !== null) {
            reset();
        }
        if (started === null) {
            started = now;
            button.textContent = splits ? 'Split' : 'Stop';
            tick();
        } else if (splits && split === null) {
            split = now;
            fill('time', split - started);
            button.textContent = 'Stop';
        } else {
            stopped = now;
            show(stopped - started);
            fill('total_time', stopped - started);
            button.textContent = 'Start again';
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
        if (event.code === 'Space' && !watch.hidden && !event.repeat && event.target.closest('input:not([type=hidden]), textarea, select, button, a') === null) {
            event.preventDefault();
            press();
        }
    });
    document.addEventListener('skivo:cleared', reset);
}
