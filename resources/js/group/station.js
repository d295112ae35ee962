/** The mark on the tape and the field beside it say the same. */
export function attachGuess(root) {
    const slider = root.querySelector('[data-guess-slider]');
    const field = root.querySelector('[data-guess-field]');
    slider.addEventListener('input', () => {
        field.value = slider.value;
    });
    field.addEventListener('input', () => {
        const typed = Number(field.value.replace(',', '.'));
        if (Number.isFinite(typed)) {
            slider.value = String(typed);
        }
    });
}

/** What the push became, played once while the car rolls along the tape; still where motion is unwanted. */
export function attachWhy(root) {
    const figure = root.querySelector('[data-why]');
    const moments = JSON.parse(figure.dataset.why);
    const bar = figure.querySelector('[data-why-bar]');
    const car = figure.querySelector('[data-why-car]');
    const again = figure.querySelector('[data-why-again]');
    const end = parseFloat(car.getAttribute('x'));
    const show = (share) => {
        const index = Math.max(
            0,
            moments.findIndex((moment) => moment.at >= share),
        );
        const moment = share >= 1 ? moments[moments.length - 1] : moments[index];
        for (const [part, name] of [
            ['.in-balloon', 'balloon'],
            ['.in-motion', 'moving'],
            ['.in-warmth', 'warm'],
        ]) {
            bar.querySelector(part).style.flexGrow = String(moment[name]);
        }
        car.setAttribute('x', `${end * share}%`);
    };
    const play = () => {
        const begun = performance.now();
        const step = (now) => {
            // A car rolls fast at first and slow at the end.
            const share = 1 - (1 - Math.min(1, (now - begun) / 4000)) ** 2;
            show(share);
            if (share < 1) {
                requestAnimationFrame(step);
            }
        };
        requestAnimationFrame(step);
    };
    again.hidden = false;
    again.addEventListener('click', play);
    if (matchMedia('(prefers-reduced-motion: reduce)').matches) {
        show(1);
    } else {
        figure.querySelector('[data-why-stills]')?.remove();
        play();
    }
}

/** A wait that runs as a clock of its own, also over a reload. */
export function attachClocks(root) {
    for (const button of root.querySelectorAll('[data-clock]')) {
        const key = `skivo-clock ${location.pathname} ${button.closest('li').id}`;
        const whole = Number(button.dataset.clock);
        const text = button.textContent;
        const draw = () => {
            const begun = Number(localStorage.getItem(key) ?? 0);
            const left = whole - Math.floor((Date.now() - begun) / 1000);
            if (begun === 0 || left < -3600) {
                button.textContent = text;
                return;
            }
            const shown = Math.max(0, left);
            button.textContent = `${Math.floor(shown / 60)}:${String(shown % 60).padStart(2, '0')}`;
            button.classList.toggle('is-over', left <= 0);
            if (left > 0) {
                setTimeout(draw, 1000);
            }
        };
        button.addEventListener('click', () => {
            localStorage.setItem(key, String(Date.now()));
            draw();
        });
        draw();
    }
}

/** A page that only waits asks again by itself. */
export function attachAgain(root) {
    const seconds = Number(root.querySelector('[data-again]').dataset.again);
    setInterval(() => location.reload(), 1000 * seconds);
}
