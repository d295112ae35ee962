/** The chance of an answer beside each design, for the plan as the form has it: in slices, each figure surer than the one before. */
const FIELDS = ['asks', 'asks_outcome', 'asks_from', 'asks_to', 'groups', 'tries', 'units', 'design_one', 'design_other'];
const SETTLED_MS = 300;

export function attachDesigns() {
    for (const way of document.querySelectorAll('[data-designs]')) {
        const form = way.closest('form');
        let asked = 0;
        let timer = null;
        const again = () => {
            clearTimeout(timer);
            timer = setTimeout(() => {
                asked += 1;
                const mine = asked;
                follow(way, form, () => mine === asked);
            }, SETTLED_MS);
        };
        form.addEventListener('input', (event) => {
            if (FIELDS.includes(event.target.name) || event.target.name === 'way') {
                again();
            }
        });
        again();
    }
}

/** @param {() => boolean} isAsked whether nothing else was asked since */
async function follow(way, form, isAsked) {
    const values = new FormData(form);
    const of = (design, slices) => {
        const query = new URLSearchParams({ way: design, slices: String(slices) });
        for (const field of FIELDS) {
            if (values.get(field)) {
                query.set(field, values.get(field));
            }
        }
        return `${way.dataset.designs}?${query}`;
    };
    const places = [...way.querySelectorAll('[data-chance]')];
    if (!values.get('asks')) {
        places.forEach((place) => place.replaceChildren());
        return;
    }
    let left = places.map((place) => ({ place, slices: 1 }));
    while (left.length > 0 && isAsked()) {
        const next = [];
        for (const { place, slices } of left) {
            const answer = await ask(of(place.dataset.chance, slices));
            if (!isAsked()) {
                return;
            }
            place.textContent = [answer?.said, answer?.progress].filter(Boolean).join(' ');
            if (answer?.two) {
                way.querySelector('[data-compared]').textContent = answer.two;
            }
            if (answer?.progress) {
                next.push({ place, slices: slices + 1 });
            }
        }
        left = next;
    }
}

/** What the server says; nothing where it can't be reached: the plan can be set without. */
async function ask(address) {
    try {
        const answer = await fetch(address, { headers: { Accept: 'application/json' } });
        return answer.ok ? await answer.json() : null;
    } catch {
        return null;
    }
}
