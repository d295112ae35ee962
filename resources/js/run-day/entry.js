import { runQueue } from './queue.js';
import { say } from '../words.js';

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
    // Whom an adult chose by hand stays chosen until its run is logged, whatever happens elsewhere.
    let isByHand = false;
    fields.group.addEventListener?.('change', () => {
        isByHand = true;
        sayTry();
    });

    const more = strip.querySelector('[data-more]');
    const open = (isOpen) => {
        strip.classList.toggle('open', isOpen);
        more.setAttribute('aria-expanded', String(isOpen));
        more.textContent = isOpen ? say('entry.less') : say('entry.more');
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
        reading.textContent = seen === null ? '' : say('entry.from_instruments', { said: seen.said });
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

    const show = (messages, isQuestion = false, mayBeSame = false) => {
        errors.replaceChildren(
            ...messages.map((message) => {
                const line = document.createElement('p');
                line.className = isQuestion ? 'question' : 'error';
                line.textContent = message;
                return line;
            }),
        );
        if (isQuestion) {
            const line = document.createElement('p');
            line.className = 'small';
            line.textContent = mayBeSame ? say('entry.another_run') : say('entry.if_right');
            errors.append(line);
        }
        if (mayBeSame) {
            errors.append(
                button(say('entry.same_run'), async () => {
                    await queue.dropById(fields.id.value);
                    clear();
                }),
            );
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
            if (
                field.type !== 'hidden' &&
                !['group', 'drift_side', 'inflation_kind', 'inflation_size', 'inflation_strokes'].includes(field.name)
            ) {
                field.value = '';
                delete field.dataset.filled;
            }
        }
        fields.confirmed.value = '';
        fields.readings.value = '';
        fields.id.value = newId();
        isByHand = false;
        mark([]);
        show([]);
        callNext();
        document.dispatchEvent(new CustomEvent('skivo:cleared'));
        fields.distance.focus({ preventScroll: true });
    };

    const list = strip.querySelector('[data-waiting]');
    const typed = () => Object.fromEntries([...new FormData(form)].filter(([name, value]) => value !== '' && name !== '_token'));
    const inWords = (of) => [fields.group.selectedOptions?.[0]?.textContent.trim() ?? '', of.distance ?? of.void].join(', ');
    const isTyped = () =>
        ['distance', 'time', 'void', 'note'].some((name) => fields[name].value !== '' && fields[name].dataset.filled === undefined);
    let unsent = 0;
    let loggedAt = 0;
    let waiting = [];
    /** The turns that are still to come once what waits here has been logged. */
    const without = (turns) => {
        const left = [...turns];
        for (const run of waiting) {
            const at = left.indexOf(Number(run.fields.group));
            if (at >= 0) {
                left.splice(at, 1);
            }
        }
        return left;
    };
    const queue = runQueue({
        address: strip.dataset.address,
        challenge: strip.dataset.challenge,
        token: () => token.value,
        inStrip: () => fields.id.value,
        on: {
            async refused(run) {
                // Back into the strip where nothing else has been typed meanwhile; else it waits in the list.
                if (!isTyped() && errors.hidden) {
                    await edit(run);
                    if (run.isQuestion) {
                        fields.confirmed.value = run.names.join(',');
                    }
                    mark(run.names);
                }
            },
            logged(run, said) {
                loggedAt = performance.now();
                announce(say('entry.logged', { said }));
                document.dispatchEvent(new CustomEvent('skivo:changed'));
            },
            changed(state) {
                unsent = state.unsent;
                waiting = state.waiting;
                drawWaiting(list, state, {
                    confirm: (run) => queue.confirm(run),
                    edit,
                    drop: (run) => queue.drop(run),
                });
            },
        },
    });
    const units = JSON.parse(strip.dataset.units);
    /** What was typed under other units than those that stand here now says its own. */
    const inItsUnit = (run, name) => {
        const value = run.fields[name];
        const unit = run.fields.typed_in === fields.typed_in.value ? undefined : units[run.fields.typed_in]?.[name];
        return unit !== undefined && value !== undefined && /^[\d\s.,/]+$/.test(value) ? `${value} ${unit}` : value;
    };
    /** A waiting run comes into the strip; it stays on the device until the server has what becomes of it. */
    async function edit(run) {
        if (isTyped() && fields.id.value !== run.id) {
            const half = typed();
            await queue.park({ id: fields.id.value, fields: half, said: inWords(half) });
        }
        form.reset();
        for (const field of fields) {
            if (field.name !== '_token' && field.name !== 'typed_in') {
                field.value = inItsUnit(run, field.name) ?? (field.name === 'drift_side' ? 'left' : '');
            }
        }
        fields.confirmed.value = '';
        sayTry();
        show(run.messages ?? [], run.isQuestion, (run.names ?? []).includes('same_run'));
        if ([...fields].some((field) => isHidden(field))) {
            open(true);
        }
        fields.distance.focus({ preventScroll: true });
        queue.draw();
    }
    if (!window.isSecureContext) {
        // Without a service worker the page cannot be opened again while the network is away.
        strip.querySelector('[data-stay-open]').hidden = false;
        window.addEventListener('beforeunload', (event) => {
            if (unsent > 0 || isTyped()) {
                event.preventDefault();
            }
        });
    }

    let handing = 0;
    form.addEventListener('submit', async (event) => {
        event.preventDefault();
        const run = typed();
        if (run.distance === undefined && run.void === undefined && !isTyped()) {
            // A second tap on what has just been handed over is none.
            if (handing === 0 && waiting.length === 0) {
                show([say('entry.type_or_void')]);
                mark(['distance']);
            }
            return;
        }
        const said = inWords(run);
        handing++;
        // The strip is free for the next run at once, however fast one types: this one is with the queue.
        clear();
        await queue.opened;
        try {
            await queue.add({ id: run.id, fields: run, said });
        } catch {
            // A browser that keeps nothing: as a form, then.
            for (const [name, value] of Object.entries(run)) {
                fields[name].value = value;
            }
            form.submit();
        }
        handing--;
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
        // What was asked before the last run was stored would call its group again.
        const isOld = detail.asked < loggedAt;
        if (!typing && !isOld) {
            coming = without(detail.coming);
        }
        const next = waiting.length === 0 ? detail.next : (coming[0] ?? null);
        if (!typing && !isOld && !isByHand && next !== null && fields.group.options !== undefined && errors.hidden) {
            fields.group.value = next;
        }
        const word = strip.querySelector('[data-next-word]');
        if (word !== null) {
            word.textContent = detail.next === null ? say('entry.extra_for') : say('entry.next');
        }
        sayTry();
    });
    document.addEventListener('click', (event) => {
        const standing = event.target.closest('[data-stand]');
        if (standing !== null && fields.group.options !== undefined) {
            fields.group.value = standing.dataset.stand;
            isByHand = true;
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

function button(text, act) {
    const made = document.createElement('button');
    made.type = 'button';
    made.className = 'button plain';
    made.textContent = text;
    made.addEventListener('click', act);
    return made;
}

/** The runs that wait on the device, each with what can be done about it. */
function drawWaiting(list, { runs, elsewhere, notice }, act) {
    const line = (text, ...buttons) => {
        const made = document.createElement('p');
        const words = document.createElement('span');
        words.textContent = text;
        made.append(words, ...buttons);
        return made;
    };
    list.hidden = runs.length === 0 && elsewhere === 0;
    list.replaceChildren(
        ...runs.map((run) => {
            const made =
                run.messages === undefined
                    ? line(say('entry.waiting', { said: notice === '' ? run.said : `${run.said}. ${notice}` }))
                    : line(
                          say(run.isQuestion ? 'entry.in_question' : 'entry.not_taken', { said: run.said, why: run.messages.join(' ') }),
                          ...(run.isQuestion ? [button(say('entry.is_right'), () => act.confirm(run))] : []),
                          button(say('entry.correct'), () => act.edit(run)),
                          button(say('entry.throw_away'), () => act.drop(run)),
                      );
            made.dataset.waitingRun = run.id;
            return made;
        }),
    );
    if (elsewhere > 0) {
        list.append(line(say(elsewhere === 1 ? 'entry.one_elsewhere' : 'entry.some_elsewhere', { count: elsewhere })));
    }
}
