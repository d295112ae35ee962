import { attachParts } from './parts.js';
import { attachRules } from './rules.js';

/** The build sheet: draws the car anew as it is typed, and shows the part that is tapped in the drawing. */
export function attachBuild(root) {
    const form = root.querySelector('form[data-draw]');
    const drawing = root.querySelector('[data-drawing]');
    if (form === null || drawing === null) {
        return;
    }
    let waiting = null;
    let asked = 0;
    const draw = async () => {
        const mine = ++asked;
        const typed = new URLSearchParams();
        for (const [name, value] of new FormData(form)) {
            if (value !== '' && !name.startsWith('_')) {
                typed.append(name, value);
            }
        }
        try {
            const response = await fetch(`${form.dataset.draw}?${typed}`, { headers: { Accept: 'text/html', 'X-Beside': 'yes' } });
            if (response.ok && mine === asked) {
                drawing.innerHTML = await response.text();
                parts.mark();
            }
        } catch {
            // Without a connection the drawing stays as it was; nothing typed is lost.
        }
    };
    const parts = attachParts(root, form);
    attachRules(form);
    form.addEventListener('click', (event) => {
        const button = event.target.closest('[data-fill]');
        if (button === null) {
            return;
        }
        form.elements[button.dataset.fill].value = button.dataset.value;
        for (const other of form.querySelectorAll(`[data-fill='${button.dataset.fill}'][aria-pressed]`)) {
            other.setAttribute('aria-pressed', String(other === button));
        }
        // What a part usually measures stands pale where nothing was measured.
        for (const [name, size] of Object.entries(JSON.parse(button.dataset.sizes ?? '{}'))) {
            if (form.elements[name] instanceof HTMLInputElement && name !== button.dataset.fill) {
                form.elements[name].placeholder = size;
            }
        }
        form.dispatchEvent(new Event('input'));
    });
    form.addEventListener('input', () => {
        clearTimeout(waiting);
        waiting = setTimeout(draw, 180);
    });
}

/** What a scale has just read goes into the first empty field of its form. */
export function attachTake(root) {
    for (const button of root.querySelectorAll('[data-take]')) {
        button.addEventListener('click', () => {
            const field = [...button.form.querySelectorAll('.repeats input')].find((each) => each.value === '');
            if (field !== undefined) {
                field.value = button.dataset.take;
                field.focus();
            }
        });
    }
}
