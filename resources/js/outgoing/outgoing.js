import { randomId } from './ids.js';
import { Store } from './store.js';
import { holdsAll, judge } from './verdict.js';

/** One for a page, whatever of it sends. */
const store = { of: null };

/**
 * The one queue of what waits on a device: runs, ticks, guesses, notes, pictures and taps. Each has an id of its own from the
 * moment it was made. It leaves the device when the server names it as stored, or when somebody throws it away; what is refused
 * stays, with everything that was typed.
 */
export class Outgoing {
    #busy = false;
    #more = false;
    #again = null;
    #patience = 1000;
    /** Why each waits, by its id; what waits for no reason that is known waits for the network. */
    #why = new Map();

    /**
     * @param {string} kind of what is sent by this one: run or entry
     * @param {{post: (item: object) => Promise<Response>, stored: Function, refused: Function, changed: Function, out: Function, idle?: Function}} on
     */
    constructor(kind, on) {
        this.kind = kind;
        this.on = on;
        store.of ??= new Store();
        this.store = store.of;
        this.opened = this.store.opened.then(() => {
            this.draw();
            this.#send();
        });
        window.addEventListener('online', () => this.sendNow());
        document.addEventListener('skivo:there', () => this.sendNow());
        window.addEventListener('beforeunload', (event) => {
            if (this.store.isHeldOnly) {
                event.preventDefault();
            }
        });
    }

    /** @returns {Promise<object[]>} everything of its kind, in order */
    async all() {
        await this.store.opened;
        return (await this.store.all()).filter((item) => item.kind === this.kind);
    }

    async byId(id) {
        return (await this.all()).find((each) => each.id === id);
    }

    /** Keeps something, then sends it: something new, or what was mended and takes the place of what it was. */
    async add(item) {
        const held = await this.byId(item.id);
        const isNew = held === undefined || (held.messages === undefined && JSON.stringify(held.fields) !== JSON.stringify(item.fields));
        if (isNew) {
            await this.store.put({ ...item, id: held === undefined ? item.id : randomId(), kind: this.kind });
        } else if (held.messages !== undefined) {
            await this.store.put({ ...item, kind: this.kind, order: held.order });
        }
        await this.draw();
        await this.#send();
    }

    /** Keeps something that is not to be sent yet, with what is said of it. */
    async park(item, messages) {
        const held = await this.byId(item.id);
        const order = held === undefined ? {} : { order: held.order };
        await this.store.put({ ...item, ...order, kind: this.kind, names: [], messages, isQuestion: false });
        await this.draw();
    }

    /** Sends what was refused once more, as it is or with what was answered. */
    async again(item, fields = {}) {
        const sure = { ...item, fields: { ...item.fields, ...fields } };
        delete sure.messages;
        await this.store.put(sure);
        this.sendNow();
    }

    async drop(item) {
        await this.store.remove(item.order);
        await this.draw();
    }

    async draw() {
        const items = await this.all();
        this.on.changed(items.map((item) => ({ ...item, waitsFor: this.#why.get(item.id) ?? { why: 'network', said: '' } })));
    }

    async #send() {
        if (this.#busy) {
            // What is made in the very moment in which it ends is not forgotten.
            this.#more = true;
            return;
        }
        this.#busy = true;
        const held = new Set();
        try {
            // What is made while it sends is sent as well.
            for (let item = await this.#next(held); item !== undefined; item = await this.#next(held)) {
                const why = await this.#sendOne(item);
                if (why === null) {
                    continue;
                }
                this.#sendLater();
                if (holdsAll(why)) {
                    break;
                }
                held.add(item.address);
            }
        } finally {
            await this.draw();
            this.#busy = false;
            this.on.idle?.();
        }
        if (this.#more) {
            this.#more = false;
            await this.#send();
        }
    }

    async #next(held) {
        return (await this.all()).find((item) => item.messages === undefined && !held.has(item.address));
    }

    /** @returns {Promise<string|null>} why it waits; null where the server has said what becomes of it */
    async #sendOne(item) {
        const verdict = await this.#ask(item);
        this.#why.set(item.id, { why: verdict.why ?? '', said: verdict.said ?? '' });
        if (verdict.is === 'waits') {
            if (verdict.why === 'token') {
                await this.on.out();
            }
            return verdict.why;
        }
        this.#patience = 1000;
        this.#why.delete(item.id);
        if (verdict.is === 'stored') {
            await this.store.remove(item.order);
            await this.on.stored(item, verdict.said);
            return null;
        }
        // An id that the server has under something else is given up: nothing of this is stored.
        const id = verdict.isKnown === true ? randomId() : item.id;
        const refused = {
            ...item,
            id,
            fields: { ...item.fields, ...(item.fields.id === undefined ? {} : { id }) },
            names: verdict.names,
            messages: verdict.messages,
            refusedAs: verdict.why ?? '',
            isQuestion: verdict.is === 'question',
        };
        await this.store.put(refused);
        await this.on.refused(refused);
        return null;
    }

    async #ask(item) {
        try {
            const response = await this.on.post(item);
            return judge(
                {
                    status: response.status,
                    isRedirect: response.type === 'opaqueredirect' || response.redirected,
                    isSkivo: response.headers.get('X-Served-By') === 'Skivo',
                    body: await response.json().catch(() => null),
                },
                item.id,
            );
        } catch {
            return { is: 'waits', why: 'network' };
        }
    }

    sendNow() {
        this.#patience = 1000;
        this.#send();
    }

    #sendLater() {
        clearTimeout(this.#again);
        this.#again = setTimeout(() => this.#send(), this.#patience);
        this.#patience = Math.min(this.#patience * 1.6, 15000);
    }
}
