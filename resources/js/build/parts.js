/** The parts of a drawn car as ways into its form: one part stands beside the drawing at a time, or everything. */
export function attachParts(root, form) {
    const steps = [...form.querySelectorAll('section.step[id]')];
    let shown = null;
    // Whoever goes through the class part by part stays at that part.
    const remembered = () => sessionStorage.getItem('skivo-part');

    const mark = () => {
        for (const link of root.querySelectorAll('a[data-part]')) {
            if (link.dataset.part === shown) {
                link.setAttribute('aria-current', 'true');
            } else {
                link.removeAttribute('aria-current');
            }
        }
    };
    const show = (part) => {
        shown = part;
        for (const step of steps) {
            step.hidden = part !== 'all' && step.id !== part;
        }
        mark();
    };
    const wanted = location.hash.slice(1);
    const refused = form.querySelector('.step [aria-invalid="true"], .step .error')?.closest('.step')?.id;
    const isPart = (part) => part === 'all' || steps.some((step) => step.id === part);
    show(refused ?? [wanted, remembered()].find(isPart) ?? steps[0]?.id ?? 'all');
    for (const problem of form.querySelectorAll('.step .error, .step [aria-invalid="true"]')) {
        const step = problem.closest('.step').id;
        root.querySelector(`.steps [data-part="${step}"]`)?.classList.add('has-problem');
    }
    root.addEventListener('click', (event) => {
        const link = event.target.closest('a[data-part]');
        if (link === null) {
            return;
        }
        event.preventDefault();
        show(link.dataset.part);
        history.replaceState(null, '', `#${link.dataset.part}`);
        sessionStorage.setItem('skivo-part', link.dataset.part);
        const step = steps.find((each) => each.id === link.dataset.part);
        step?.focus({ preventScroll: true });
        // On a narrow screen the form lies under the drawing, which stays.
        (step ?? form).scrollIntoView({ block: matchMedia('(max-width: 64rem)').matches ? 'start' : 'nearest' });
    });
    // A link in the list of errors leads to a field that may be hidden.
    window.addEventListener('hashchange', () => {
        const field = document.getElementById(location.hash.slice(1));
        const step = field?.closest('section.step[id]');
        if (step?.hidden === true) {
            show(step.id);
            field.focus();
        }
    });

    return { mark };
}
