/** Problems of a form: each in the list leads to its field, wherever that is folded away; the first has the focus. */
export function attachErrors(root) {
    const list = root.querySelector('[data-problems]');
    if (list === null) {
        return;
    }
    const fieldOf = (name) => root.querySelector(`main [name="${CSS.escape(name)}"]:not([type=hidden])`);
    const show = (field) => {
        for (let folded = field.closest('details:not([open])'); folded !== null; folded = field.closest('details:not([open])')) {
            folded.open = true;
        }
        field.focus({ preventScroll: true });
        (field.closest('.field') ?? field).scrollIntoView({ block: 'center' });
    };
    for (const link of list.querySelectorAll('[data-problem]')) {
        const field = fieldOf(link.dataset.problem);
        if (field === null) {
            link.removeAttribute('href');
            continue;
        }
        link.addEventListener('click', (event) => {
            event.preventDefault();
            show(field);
        });
        // The chip of the step that it stands in says so, too.
        const step = field.closest('section[id]');
        root.querySelector(`.steps a[href="#${step?.id}"]`)?.classList.add('has-problem');
    }
    const first = [...list.querySelectorAll('[data-problem]')].map((link) => fieldOf(link.dataset.problem)).find((field) => field !== null);
    if (first !== undefined) {
        show(first);
    }
}

/** Where a form chooses the units itself, the ones beside its fields follow. */
export function attachUnits(root) {
    // What names its own unit needs no other beside it. The strip at the lane empties its fields by itself.
    for (const field of root.querySelectorAll('form:not(.entry-form) .unit-in .input')) {
        const look = () => field.classList.toggle('names-unit', /[\p{L}'"′″]/u.test(field.value));
        field.addEventListener('input', look);
        field.form?.addEventListener('reset', () => setTimeout(look));
        look();
    }
    for (const choice of root.querySelectorAll('input[name="units"][type="radio"]')) {
        choice.addEventListener('change', () => {
            for (const unit of choice.form.querySelectorAll(`.unit[data-${choice.value}]`)) {
                unit.textContent = unit.dataset[choice.value];
            }
        });
    }
}
