/**
 * The entry strip: shows which try is next for the chosen group,
 * and sends each run once.
 */
export function attachEntry(root) {
    const strip = root.querySelector('[data-entry]');
    if (strip === null) {
        return;
    }
    const form = strip.querySelector('form.entry-form');
    const group = form.elements.group;
    const tries = strip.querySelector('[data-next-try]');
    const sayTry = () => {
        tries.textContent = group.selectedOptions[0]?.dataset.try ?? '';
    };
    group.addEventListener('change', sayTry);
    sayTry();

    const more = strip.querySelector('[data-more]');
    more.addEventListener('click', () => {
        const open = strip.classList.toggle('open');
        more.setAttribute('aria-expanded', String(open));
    });
    if (['time', 'void', 'note'].some((name) => form.elements[name].value !== '')) {
        strip.classList.add('open');
        more.setAttribute('aria-expanded', 'true');
    }

    // Ready to type; the floor must not scroll away for it.
    const wrong = form.querySelector('[aria-invalid="true"]');
    (wrong ?? form.elements.distance).focus({ preventScroll: true });

    new ResizeObserver(() => {
        document.documentElement.style.setProperty('--entry', `${strip.offsetHeight}px`);
    }).observe(strip);

    let sent = false;
    form.addEventListener('submit', (event) => {
        if (sent) {
            event.preventDefault();
        }
        sent = true;
    });
    window.addEventListener('pageshow', () => {
        sent = false;
    });
}
