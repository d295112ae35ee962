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
    // Each with the name of its field before it, unless it begins with that itself.
    const named = (field, problem) => {
        const label = labelOf(field);
        return label === '' || problem.toLowerCase().startsWith(label.toLowerCase())
            ? problem
            : list.dataset.ofField.replace(':field', () => label).replace(':problem', () => problem);
    };
    for (const link of list.querySelectorAll('[data-problem]')) {
        const field = fieldOf(link.dataset.problem);
        if (field === null) {
            link.removeAttribute('href');
            continue;
        }
        link.textContent = named(field, link.textContent.trim());
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

/** What a field is called, without what stands beside that: its unit, or that it may be left empty. */
function labelOf(field) {
    const label =
        field.closest('fieldset')?.contains(field) && field.type === 'radio'
            ? field.closest('fieldset').querySelector('legend')
            : field.labels?.[0];
    const copy = label?.cloneNode(true);
    copy?.querySelectorAll('.optional, .sr-only, small, input, select, textarea').forEach((each) => each.remove());
    return (copy?.textContent ?? field.getAttribute('aria-label') ?? '').replace(/\s+/g, ' ').trim();
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
