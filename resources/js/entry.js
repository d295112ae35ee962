import { openDB } from 'idb';

/**
 * The entry strip. A run is kept on the device first and sent then, in order; it leaves the device when the server has
 * said that it has it. What the server refuses or questions is shown, with all that was typed.
 */
export function attachEntry(root) {
    const strip = root.querySelector('[data-entry]');
    if (strip === null) {
        return;
    }
    const form = strip.querySelector('form.entry-form');
    const fields = form.elements;
    const errors = strip.querySelector('[data-entry-errors]');
    const token = fields._token;

    const sayTry = () => {
        const chosen = fields.group.selectedOptions?.[0];
        const tries = strip.querySelector('[data-next-try]');
        if (chosen !== undefined && tries !== null) {
            tries.textContent = chosen.dataset.try ?? '';
            fields.lane.value = chosen.dataset.lane ?? '';
        }
        showReading();
    };
    fields.group.addEventListener?.('change', sayTry);

    const more = strip.querySelector('[data-more]');
    const open = (isOpen) => {
        strip.classList.toggle('open', isOpen);
        more.setAttribute('aria-expanded', String(isOpen));
        more.textContent = isOpen ? 'Less' : 'More';
    };
    more.addEventListener('click', () => open(!strip.classList.contains('open')));
    const isHidden = (field) => field.closest('.more') !== null && field.value !== '' && !['lane', 'drift_side'].includes(field.name);
    if ([...fields].some((field) => isHidden(field))) {
        open(true);
    }

    // What instruments saw at this lane fills what is empty; the adult confirms by logging.
    let readings = {};
    const reading = strip.querySelector('[data-reading]');
    const showReading = () => {
        const seen = readings[fields.lane.value] ?? readings[0] ?? null;
        reading.hidden = seen === null;
        reading.textContent = seen === null ? '' : `From the instruments: ${seen.said}`;
        for (const field of form.querySelectorAll('[data-filled]')) {
            field.value = '';
            delete field.dataset.filled;
        }
        fields.readings.value = seen === null ? '' : seen.ids;
        for (const [name, value] of Object.entries(seen?.fields ?? {})) {
            if (fields[name].value === '') {
                fields[name].value = value;
                fields[name].dataset.filled = '';
            }
        }
    };
    form.addEventListener('input', (event) => {
        delete event.target.dataset.filled;
        fields.confirmed.value = '';
    });

    const show = (messages, isQuestion = false) => {
        errors.replaceChildren(...messages.map((message) => {
            const line = document.createElement('p');
            line.className = isQuestion ? 'question' : 'error';
            line.textContent = message;
            return line;
        }));
        if (isQuestion) {
            const line = document.createElement('p');
            line.className = 'small';
            line.textContent = 'If it is right, log it again as it stands.';
            errors.append(line);
        }
        errors.hidden = messages.length === 0;
    };
    const mark = (names) => {
        for (const field of form.querySelectorAll('[aria-invalid]')) {
            field.removeAttribute('aria-invalid');
        }
        for (const name of names) {
            fields[name]?.setAttribute?.('aria-invalid', 'true');
        }
        fields[names[0]]?.focus?.();
        if (names.some((name) => fields[name]?.closest?.('.more'))) {
            open(true);
        }
    };
    // Whose turns are still to come, so that the next one stands here before the server has been asked.
    let coming = JSON.parse(strip.dataset.coming ?? '[]');
    const callNext = () => {
        const ran = coming.indexOf(Number(fields.group.value));
        if (ran >= 0) {
            coming.splice(ran, 1);
        }
        if (fields.group.options !== undefined && coming.length > 0) {
            fields.group.value = coming[0];
        }
        sayTry();
    };
    const clear = () => {
        for (const field of fields) {
            if (field.type !== 'hidden' && !['group', 'drift_side', 'inflation_kind', 'inflation_size', 'inflation_strokes'].includes(field.name)) {
                field.value = '';
                delete field.dataset.filled;
            }
        }
        fields.confirmed.value = '';
        fields.readings.value = '';
        fields.id.value = newId();
        mark([]);
        show([]);
        callNext();
        document.dispatchEvent(new CustomEvent('skivo:cleared'));
        fields.distance.focus({ preventScroll: true });
    };

    const queue = runQueue(strip, token, {
        async refused(run, names, messages, isQuestion) {
            // Back into the strip if it is still the one that was typed last; else it waits in the list.
            if (fields.id.value === run.id) {
                show(messages, isQuestion);
                if (isQuestion) {
                    fields.confirmed.value = names.join(',');
                }
                mark(names);
            }
        },
        logged(run, said) {
            if (fields.id.value === run.id) {
                clear();
            }
            announce(`Logged: ${said}.`);
            document.dispatchEvent(new CustomEvent('skivo:changed'));
        },
        kept(run) {
            if (fields.id.value === run.id) {
                clear();
            }
        },
        edit(run) {
            for (const [name, value] of Object.entries(run.fields)) {
                if (fields[name] !== undefined) {
                    fields[name].value = value;
                }
            }
            sayTry();
            open(true);
            fields.distance.focus();
        },
    });

    let sending = false;
    form.addEventListener('submit', async (event) => {
        event.preventDefault();
        if (sending) {
            return;
        }
        sending = true;
        await queue.opened;
        if (!queue.works()) {
            // A browser that keeps nothing: as a form, then.
            form.submit();
            return;
        }
        const typed = Object.fromEntries([...new FormData(form)].filter(([name, value]) => value !== '' && name !== '_token'));
        // Handed over to the queue, and so safe, before anything is said.
        const name = fields.group.selectedOptions?.[0]?.textContent.trim() ?? '';
        await queue.add({ id: fields.id.value, fields: typed, said: [name, typed.distance ?? typed.void].join(', ') });
        sending = false;
    });
    window.addEventListener('pageshow', () => {
        sending = false;
    });

    document.addEventListener('skivo:state', ({ detail }) => {
        token.value = detail.token;
        readings = detail.readings ?? {};
        const typing = fields.distance.value !== '' && fields.distance.dataset.filled === undefined;
        for (const group of detail.groups) {
            let option = fields.group.querySelector?.(`option[value="${group.id}"]`);
            if (option === null && fields.group.options !== undefined) {
                option = new Option(group.name, group.id);
                fields.group.add(option);
            }
            if (option) {
                option.dataset.try = group.try;
                option.dataset.lane = group.lane ?? '';
            }
        }
        if (!typing) {
            coming = detail.coming;
        }
        if (!typing && detail.next !== null && fields.group.options !== undefined && errors.hidden) {
            fields.group.value = detail.next;
        }
        const word = strip.querySelector('[data-next-word]');
        if (word !== null) {
            word.textContent = detail.next === null ? 'An extra for' : 'Next';
        }
        sayTry();
    });
    document.addEventListener('click', (event) => {
        const standing = event.target.closest('[data-stand]');
        if (standing !== null && fields.group.options !== undefined) {
            fields.group.value = standing.dataset.stand;
            sayTry();
            fields.distance.focus();
        }
    });

    sayTry();
    // Ready to type; the floor must not scroll away for it.
    const wrong = form.querySelector('[aria-invalid="true"]');
    (wrong ?? fields.distance).focus({ preventScroll: true });
    new ResizeObserver(() => {
        document.documentElement.style.setProperty('--entry', `${strip.offsetHeight}px`);
    }).observe(strip);
}

/** A message where messages stand, read aloud too. */
export function announce(text) {
    let flash = document.querySelector('main > .flash[data-announced]');
    if (flash === null) {
        document.querySelector('main > .flash')?.remove();
        flash = document.createElement('div');
        flash.className = 'flash';
        flash.dataset.announced = '';
        flash.setAttribute('role', 'status');
        document.querySelector('main').prepend(flash);
    }
    flash.textContent = text;
}

/** A random id (RFC 4122, version 4). On plain http there is no crypto.randomUUID. */
function newId() {
    const bytes = crypto.getRandomValues(new Uint8Array(16));
    bytes[6] = (bytes[6] & 0x0f) | 0x40;
    bytes[8] = (bytes[8] & 0x3f) | 0x80;
    const hex = [...bytes].map((byte) => byte.toString(16).padStart(2, '0')).join('');
    return [hex.slice(0, 8), hex.slice(8, 12), hex.slice(12, 16), hex.slice(16, 20), hex.slice(20)].join('-');
}

/** Runs that the server does not have yet, in IndexedDB, so that a reload or a closed lid loses none. */
function runQueue(strip, token, on) {
    const address = strip.dataset.address;
    const challenge = strip.dataset.challenge;
    const list = strip.querySelector('[data-waiting]');
    let store = null;
    const opened = openDB('skivo', 1, {
        upgrade(database) {
            database.createObjectStore('runs', { keyPath: 'order', autoIncrement: true });
        },
    }).then((database) => {
        store = database;
    }, () => {});
    const all = async () => (await store.getAll('runs')).filter((run) => run.challenge === challenge);
    let busy = false;
    let again = null;
    let patience = 1000;
    let notice = '';

    const draw = async () => {
        // What is still in the strip is mended there.
        const runs = (await all()).filter((run) => run.messages === undefined || run.id !== strip.querySelector('form.entry-form').elements.id.value);
        list.hidden = runs.length === 0;
        list.replaceChildren(...runs.map((run) => {
            const line = document.createElement('p');
            line.dataset.waitingRun = run.id;
            const words = document.createElement('span');
            words.textContent = run.messages === undefined
                ? `Waiting to be sent: ${run.said}${notice === '' ? '' : `. ${notice}`}`
                : `${run.isQuestion ? 'In question' : 'Not taken'}: ${run.said}. ${run.messages.join(' ')}`;
            line.append(words);
            if (run.messages !== undefined) {
                const button = (text, act) => {
                    const made = document.createElement('button');
                    made.type = 'button';
                    made.className = 'button plain';
                    made.textContent = text;
                    made.addEventListener('click', act);
                    line.append(made);
                };
                if (run.isQuestion) {
                    button('It is right', async () => {
                        delete run.messages;
                        patience = 1000;
                        run.fields.confirmed = run.names.join(',');
                        await store.put('runs', run);
                        send();
                    });
                }
                button('Correct it', async () => {
                    await store.delete('runs', run.order);
                    on.edit(run);
                    draw();
                });
                button('Throw it away', async () => {
                    await store.delete('runs', run.order);
                    draw();
                });
            }
            return line;
        }));
    };

    const post = (run) => fetch(address, {
        method: 'POST',
        headers: { Accept: 'application/json', 'Content-Type': 'application/json', 'X-CSRF-TOKEN': token.value },
        body: JSON.stringify(run.fields),
        credentials: 'same-origin',
    });

    const later = () => {
        clearTimeout(again);
        again = setTimeout(send, patience);
        patience = Math.min(patience * 1.6, 15000);
    };

    async function send() {
        if (busy) {
            return;
        }
        busy = true;
        try {
            for (const run of (await all()).filter((each) => each.messages === undefined)) {
                let response;
                try {
                    response = await post(run);
                } catch {
                    // No connection: it waits, and so do those behind it.
                    later();
                    break;
                }
                if (response.ok) {
                    await store.delete('runs', run.order);
                    patience = 1000;
                    notice = '';
                    on.logged(run, (await response.json()).said);
                    continue;
                }
                if (response.status === 419) {
                    document.dispatchEvent(new CustomEvent('skivo:ask'));
                }
                if (response.status >= 500 || response.status === 419 || response.status === 429) {
                    // The server is unwell, or the session is being renewed: it has not taken the run.
                    const answer = await response.json().catch(() => ({}));
                    notice = response.status === 507 || response.status === 503 ? answer.message ?? '' : '';
                    later();
                    break;
                }
                const answer = await response.json().catch(() => ({}));
                const found = answer.questions ?? answer.errors ?? { _: [answer.message || 'The run was not taken.'] };
                run.names = Object.keys(found);
                run.messages = Object.values(found).flat();
                run.isQuestion = answer.questions !== undefined;
                await store.put('runs', run);
                on.refused(run, run.names, run.messages, run.isQuestion);
            }
        } finally {
            busy = false;
            draw();
        }
    }

    opened.then(() => {
        if (store !== null) {
            draw();
            send();
        }
    });
    const now = () => {
        patience = 1000;
        send();
    };
    window.addEventListener('online', now);
    document.addEventListener('skivo:there', now);

    return {
        opened,
        works: () => store !== null,
        async add(run) {
            const held = (await all()).find((each) => each.id === run.id);
            if (held === undefined) {
                await store.add('runs', { ...run, challenge });
            } else if (held.messages !== undefined) {
                await store.put('runs', { ...run, challenge, order: held.order });
            }
            await draw();
            await send();
            const waits = (await all()).find((each) => each.id === run.id);
            if (waits !== undefined && waits.messages === undefined) {
                on.kept(run);
            }
        },
    };
}
