import { announce } from './announce.js';
import { Instruments } from './instruments.js';
import { RunQueue } from './queue.js';
import { Strip } from './strip.js';
import { Turns } from './turns.js';
import { drawWaiting } from './waiting.js';
import { say } from '../words.js';

/**
 * The entry strip. A run is kept on the device first and sent then, in order; it leaves the device when the server has
 * said that it has it. What the server refuses or questions is shown, with all that was typed.
 */
export function attachEntry(root) {
    const element = root.querySelector('[data-entry]');
    if (element !== null) {
        new Entry(element).start();
    }
}

class Entry {
    // Whom an adult chose by hand stays chosen until its run is logged, whatever happens elsewhere.
    #isByHand = false;
    #handing = 0;
    #unsent = 0;
    #loggedAt = 0;
    #waiting = [];

    constructor(element) {
        this.element = element;
        this.strip = new Strip(element);
        this.fields = this.strip.fields;
        this.instruments = new Instruments(this.strip);
        this.turns = new Turns(JSON.parse(element.dataset.coming ?? '[]'));
        this.list = element.querySelector('[data-waiting]');
        this.queue = new RunQueue({
            address: element.dataset.address,
            challenge: element.dataset.challenge,
            token: () => this.fields._token.value,
            inStrip: () => this.fields.id.value,
            on: {
                refused: (run) => this.#refused(run),
                logged: (run, said) => this.#logged(said),
                changed: (state) => this.#changed(state),
            },
        });
    }

    start() {
        this.fields.group.addEventListener?.('change', () => this.#choose());
        this.strip.form.addEventListener('submit', (event) => {
            event.preventDefault();
            this.#log();
        });
        document.addEventListener('skivo:state', ({ detail }) => this.#hear(detail));
        document.addEventListener('click', (event) => {
            const standing = event.target.closest('[data-stand]');
            if (standing !== null && this.strip.choosesGroup) {
                this.fields.group.value = standing.dataset.stand;
                this.#choose();
                this.fields.distance.focus();
            }
        });
        this.#keepOpen();
        this.#sayTry();
        // Ready to type; the floor must not scroll away for it.
        const wrong = this.strip.form.querySelector('[aria-invalid="true"]');
        (wrong ?? this.fields.distance).focus({ preventScroll: true });
        new ResizeObserver(() => {
            document.documentElement.style.setProperty('--entry', `${this.element.offsetHeight}px`);
        }).observe(this.element);
    }

    /** Without a service worker the page cannot be opened again while the network is away. */
    #keepOpen() {
        if (window.isSecureContext) {
            return;
        }
        this.element.querySelector('[data-stay-open]').hidden = false;
        window.addEventListener('beforeunload', (event) => {
            if (this.#unsent > 0 || this.strip.isTyped) {
                event.preventDefault();
            }
        });
    }

    #choose() {
        this.#isByHand = true;
        this.#sayTry();
    }

    #sayTry() {
        this.strip.sayTry();
        this.instruments.show();
    }

    async #log() {
        const run = this.strip.typed();
        if (run.distance === undefined && run.void === undefined && !this.strip.isTyped) {
            // A second tap on what has just been handed over is none.
            if (this.#handing === 0 && this.#waiting.length === 0) {
                this.strip.show([say('entry.type_or_void')]);
                this.strip.mark(['distance']);
            }
            return;
        }
        const said = this.strip.inWords(run);
        this.#handing++;
        // The strip is free for the next run at once, however fast one types: this one is with the queue.
        this.#clear();
        await this.queue.opened;
        try {
            await this.queue.add({ id: run.id, fields: run, said });
        } catch {
            this.strip.submit(run);
        }
        this.#handing--;
    }

    #clear() {
        this.strip.clear(newId());
        this.#isByHand = false;
        this.turns.ran(Number(this.fields.group.value));
        if (this.strip.choosesGroup && this.turns.next !== null) {
            this.fields.group.value = this.turns.next;
        }
        this.#sayTry();
        document.dispatchEvent(new CustomEvent('skivo:cleared'));
        this.fields.distance.focus({ preventScroll: true });
    }

    /** Back into the strip where nothing else has been typed meanwhile; else it waits in the list. */
    async #refused(run) {
        if (this.strip.isTyped || !this.strip.errors.hidden) {
            return;
        }
        await this.#edit(run);
        if (run.isQuestion) {
            this.fields.confirmed.value = run.names.join(',');
        }
        this.strip.mark(run.names);
    }

    #logged(said) {
        this.#loggedAt = performance.now();
        announce(say('entry.logged', { said }));
        document.dispatchEvent(new CustomEvent('skivo:changed'));
    }

    #changed(state) {
        this.#unsent = state.unsent;
        this.#waiting = state.waiting;
        drawWaiting(this.list, state, {
            confirm: (run) => this.queue.confirm(run),
            edit: (run) => this.#edit(run),
            drop: (run) => this.queue.drop(run),
        });
    }

    /** A waiting run comes into the strip; it stays on the device until the server has what becomes of it. */
    async #edit(run) {
        if (this.strip.isTyped && this.fields.id.value !== run.id) {
            const half = this.strip.typed();
            await this.queue.park({ id: this.fields.id.value, fields: half, said: this.strip.inWords(half) });
        }
        this.strip.fill(run);
        this.#sayTry();
        const mayBeSame = (run.names ?? []).includes('same_run');
        this.strip.show(run.messages ?? [], run.isQuestion, mayBeSame ? () => this.#dropSame() : null);
        this.strip.openWhereFilled();
        this.fields.distance.focus({ preventScroll: true });
        this.queue.draw();
    }

    async #dropSame() {
        await this.queue.dropById(this.fields.id.value);
        this.#clear();
    }

    /** How the class stands now. */
    #hear(state) {
        this.fields._token.value = state.token;
        this.instruments.hear(state.readings ?? {});
        state.groups.forEach((group) => this.#hearGroup(group));
        const typing = this.fields.distance.value !== '' && this.fields.distance.dataset.filled === undefined;
        // What was asked before the last run was stored would call its group again.
        const isOld = state.asked < this.#loggedAt;
        if (!typing && !isOld) {
            this.turns.hear(
                state.coming,
                this.#waiting.map((run) => Number(run.fields.group)),
            );
            this.#call(this.#waiting.length === 0 ? state.next : this.turns.next);
        }
        const word = this.element.querySelector('[data-next-word]');
        if (word !== null) {
            word.textContent = state.next === null ? say('entry.extra_for') : say('entry.next');
        }
        this.#sayTry();
    }

    #hearGroup(group) {
        let option = this.fields.group.querySelector?.(`option[value="${group.id}"]`);
        if (option === null && this.strip.choosesGroup) {
            option = new Option(group.name, group.id);
            this.fields.group.add(option);
        }
        if (option) {
            option.dataset.try = group.try;
            option.dataset.lane = group.lane ?? '';
        }
    }

    #call(next) {
        if (next !== null && !this.#isByHand && this.strip.choosesGroup && this.strip.errors.hidden) {
            this.fields.group.value = next;
        }
    }
}

/** A random id (RFC 4122, version 4). On plain http there is no crypto.randomUUID. */
function newId() {
    const bytes = crypto.getRandomValues(new Uint8Array(16));
    bytes[6] = (bytes[6] & 0x0f) | 0x40;
    bytes[8] = (bytes[8] & 0x3f) | 0x80;
    const hex = [...bytes].map((byte) => byte.toString(16).padStart(2, '0')).join('');
    return [hex.slice(0, 8), hex.slice(8, 12), hex.slice(12, 16), hex.slice(16, 20), hex.slice(20)].join('-');
}
