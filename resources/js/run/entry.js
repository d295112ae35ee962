import { confirmed } from '../outgoing/answers.js';
import { randomId } from '../outgoing/ids.js';
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
    /** What is typed and on its way to the queue. */
    #handed = [];
    #unsent = 0;
    #loggedAt = 0;
    #lastRan = null;
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
            sender: element.dataset.sender ?? '',
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
        // A run gets its id when it is logged: a page that was opened again away from the network would bring along an old one.
        this.fields.id.value = '';
        this.fields.group.addEventListener?.('change', () => this.#choose());
        this.strip.form.addEventListener('submit', (event) => {
            event.preventDefault();
            this.#log(event.submitter?.name === 'void_now' ? event.submitter.value : undefined);
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
        if (this.fields.distance.value === '') {
            this.#holdLane();
        }
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

    async #log(reason) {
        const run = this.strip.typed(reason);
        if (run.distance === undefined && run.void === undefined && !this.strip.isTyped) {
            // A second tap on what has just been handed over is none.
            if (this.#handed.length === 0 && this.#waiting.length === 0) {
                this.strip.show([say('entry.type_or_void')]);
                this.strip.mark(['distance']);
            }
            return;
        }
        run.id ??= randomId();
        const said = this.strip.inWords(run);
        this.#handed = [...this.#handed, run];
        // The strip is free for the next run at once, however fast one types: this one is with the queue.
        this.#clear();
        await this.queue.add({ id: run.id, fields: run, said });
        this.#handed = this.#handed.filter((each) => each !== run);
    }

    #clear() {
        this.strip.clear();
        this.#isByHand = false;
        this.#lastRan = Number(this.fields.group.value);
        this.turns.ran(this.#lastRan);
        const next = this.#atMyLane() ?? this.turns.next;
        if (this.strip.choosesGroup && next !== null) {
            this.fields.group.value = next;
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
            this.fields.confirmed.value = confirmed(run);
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
        this.#handed = this.#handed.filter((each) => !state.waiting.some((run) => run.id === each.id));
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
            half.id ??= randomId();
            await this.queue.park({ id: half.id, fields: half, said: this.strip.inWords(half) });
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
        // Not of what was drawn for all.
        this.fields._token.value = state.token ?? this.fields._token.value;
        this.instruments.hear(state.readings ?? {});
        state.groups.forEach((group) => this.#hearGroup(group));
        const typing = this.fields.distance.value !== '' && this.fields.distance.dataset.filled === undefined;
        // What was asked before the last run was stored would call its group again.
        const isOld = state.asked < this.#loggedAt;
        if (!typing && !isOld) {
            // What is on its way to the queue waits as well, or its group would be called again.
            const waiting = [...this.#waiting.map((run) => run.fields), ...this.#handed].map((run) => Number(run.group));
            this.#lastRan = waiting.length === 0 ? null : this.#lastRan;
            this.turns.hear(state.coming, waiting);
            this.#call(waiting.length === 0 ? state.next : this.turns.next);
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
        const own = String(group.id) === this.fields.group.value && !this.strip.choosesGroup ? this.fields.group : null;
        for (const place of [option, own].filter((each) => each)) {
            place.dataset.try = group.try;
            place.dataset.lane = group.lane ?? '';
            place.dataset.asTry = group.as_try;
            place.dataset.practice = group.practice ? '1' : '';
            place.dataset.sweep = group.sweep ? '1' : '';
            place.dataset.fill = JSON.stringify(group.fill);
        }
    }

    /** Who stands at the lane that is held here, where one is. */
    #atMyLane() {
        const held = this.strip.lane;
        if (held === '') {
            return null;
        }
        const standing = [...document.querySelectorAll('[data-stand]')];
        const [mine, others] = [true, false].map((isMine) =>
            standing.filter((each) => (each.dataset.laneNumber === held) === isMine).map((each) => Number(each.dataset.stand)),
        );
        // Who has just run has had its turn; then it is the next one that does not stand at another lane.
        return mine.find((group) => group !== this.#lastRan) ?? this.turns.coming.find((group) => !others.includes(group)) ?? null;
    }

    #holdLane() {
        const select = this.element.querySelector('[data-hold-lane]');
        const key = `skivo-lane ${this.element.dataset.challenge}`;
        if (select === null) {
            return;
        }
        select.value = localStorage.getItem(key) ?? '';
        select.addEventListener('change', () => {
            localStorage.setItem(key, select.value);
            this.#isByHand = false;
            this.#call(this.turns.next);
            this.#sayTry();
        });
        this.#call(this.turns.next);
    }

    #call(proposed) {
        const next = this.#atMyLane() ?? proposed;
        if (next !== null && !this.#isByHand && this.strip.choosesGroup && this.strip.errors.hidden) {
            this.fields.group.value = next;
        }
    }
}
