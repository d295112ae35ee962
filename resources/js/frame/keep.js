/**
 * What is picked or typed in a form and not yet saved survives a reload, a way back, another page and an empty battery. A form says in
 * data-keep what it is a form of: once that is another, by this tablet or another, what was kept is of the past.
 */
export function attachKeeping(root) {
    for (const form of root.querySelectorAll('form[data-keep]')) {
        keep(form);
    }
}

const prefix = () => `skivo-form ${location.pathname} `;

function keep(form) {
    const key = prefix() + form.dataset.keep;
    for (const old of Object.keys(localStorage).filter((each) => each.startsWith(prefix()) && each !== key)) {
        localStorage.removeItem(old);
    }
    const before = JSON.stringify(held(form));
    const kept = localStorage.getItem(key);
    // What came back refused stands there already.
    if (kept !== null && kept !== before && form.querySelector('[aria-invalid="true"]') === null) {
        putBack(form, JSON.parse(kept));
    }
    const note = () => {
        const now = JSON.stringify(held(form));
        if (now === before) {
            localStorage.removeItem(key);
        } else {
            localStorage.setItem(key, now);
        }
    };
    form.addEventListener('input', note);
    form.addEventListener('change', note);
}

/** @returns {Object<string, string>} what stands in the fields that a person fills */
function held(form) {
    return Object.fromEntries([...new FormData(form)].filter(([name, value]) => typeof value === 'string' && isTyped(form, name)));
}

function isTyped(form, name) {
    const field = form.elements[name];
    return (
        !name.startsWith('_') && (field instanceof RadioNodeList || (field !== null && field.type !== 'hidden' && field.type !== 'submit'))
    );
}

function putBack(form, values) {
    for (const field of [...form.elements].filter((each) => each.name !== '' && isTyped(form, each.name))) {
        if (field.type === 'radio' || field.type === 'checkbox') {
            field.checked = values[field.name] === field.value;
        } else {
            field.value = values[field.name] ?? '';
        }
    }
    for (const button of form.querySelectorAll('[data-fill][aria-pressed]')) {
        button.setAttribute('aria-pressed', String(form.elements[button.dataset.fill]?.value === button.dataset.value));
    }
    for (const details of [...form.querySelectorAll('details:not([open])')]) {
        details.open = [...details.querySelectorAll('input, select, textarea')].some(
            (each) => each.type !== 'radio' && each.value !== '' && each.name in values,
        );
    }
    const first = [...form.elements].find((each) => each.name in values);
    first?.dispatchEvent(new Event('input', { bubbles: true }));
    form.querySelector('[data-guess-field]')?.dispatchEvent(new Event('input', { bubbles: true }));
}
