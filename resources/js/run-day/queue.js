import { openDB } from 'idb';
import { say } from '../words.js';

/**
 * What an answer of the server means for a run that was sent. It has the run only when it says so, by the run's own id, in
 * JSON: a page that says "welcome" on the way, or another program at the address, has taken nothing.
 *
 * @param {{status: number, isRedirect: boolean, body: object|null}} answer with the body as parsed, null where it was no JSON
 * @param {string} id of the run
 * @returns {{is: 'stored'|'question'|'refused'|'waits', why?: string, names?: string[], messages?: string[], said?: string}}
 */
export function judge({ status, isRedirect, body }, id) {
    const waits = (why) => ({ is: 'waits', why });
    if (isRedirect || body === null || typeof body !== 'object') {
        return waits(status >= 500 ? 'unwell' : 'stranger');
    }
    if (status === 200 || status === 201) {
        return body.id === id ? { is: 'stored', said: String(body.said ?? '') } : waits('stranger');
    }
    if (status === 409 && body.questions) {
        return { is: 'question', names: Object.keys(body.questions), messages: Object.values(body.questions).flat() };
    }
    if (status === 422 && body.errors) {
        return { is: 'refused', names: Object.keys(body.errors), messages: Object.values(body.errors).flat() };
    }
    if (status === 401) {
        return waits('out');
    }
    if (status === 403) {
        return waits('locked');
    }
    if (status === 419) {
        return waits('token');
    }
    if (status >= 500 || status === 429 || status === 408) {
        return { is: 'waits', why: 'unwell', said: status === 507 || status === 503 ? String(body.message ?? '') : '' };
    }
    return { is: 'refused', names: [], messages: [String(body.message || say('queue.refused'))] };
}

/** What is said beside runs that wait, by why they do; nothing where it passes by itself. */
const why = (reason) => (['stranger', 'out', 'locked'].includes(reason) ? say(`queue.${reason}`) : '');

/**
 * Runs that the server does not have yet, in IndexedDB, so that a reload or a closed lid loses none. A run leaves the device
 * when the server has said that it has it, or when somebody throws it away.
 */
export class RunQueue {
    #store = null;
    #busy = false;
    #again = null;
    #patience = 1000;
    #notice = '';

    /**
     * @param {{address: string, challenge: string, token: () => string, inStrip: () => string, on: object}} page
     *     where runs go, and what is told: refused(run), logged(run, said), changed(state)
     */
    constructor(page) {
        this.page = page;
        this.opened = this.#open();
        window.addEventListener('online', () => this.#sendNow());
        document.addEventListener('skivo:there', () => this.#sendNow());
    }

    async #open() {
        try {
            this.#store = await openDB('skivo', 1, {
                upgrade(database) {
                    database.createObjectStore('runs', { keyPath: 'order', autoIncrement: true });
                },
            });
        } catch {
            // A browser that keeps nothing; add() says so.
            return;
        }
        this.draw();
        this.#send();
    }

    /** Keeps a run, then sends it: a new one, or one that was mended, which takes the place of what it was. */
    async add(run) {
        if (this.#store === null) {
            throw new Error('IndexedDB');
        }
        const held = await this.#held(run.id);
        if (held === undefined) {
            await this.#store.add('runs', { ...run, challenge: this.page.challenge });
        } else if (held.messages !== undefined) {
            await this.#store.put('runs', { ...run, challenge: this.page.challenge, order: held.order });
        }
        await this.draw();
        await this.#send();
    }

    /** Keeps what was typed and not yet sent, because something else wants its place. */
    async park(run) {
        const held = await this.#held(run.id);
        const kept = { ...run, challenge: this.page.challenge, names: [], messages: [say('queue.not_sent')], isQuestion: false };
        await (held === undefined ? this.#store.add('runs', kept) : this.#store.put('runs', { ...kept, order: held.order }));
    }

    async confirm(run) {
        const sure = { ...run, fields: { ...run.fields, confirmed: run.names.join(',') } };
        delete sure.messages;
        await this.#store.put('runs', sure);
        this.#sendNow();
    }

    async drop(run) {
        await this.#store.delete('runs', run.order);
        this.draw();
    }

    async dropById(id) {
        const held = await this.#held(id);
        if (held !== undefined) {
            await this.#store.delete('runs', held.order);
        }
        this.draw();
    }

    async draw() {
        if (this.#store === null) {
            return;
        }
        const { challenge, inStrip, on } = this.page;
        const runs = await this.#store.getAll('runs');
        on.changed({
            // What is in the strip is mended there.
            runs: runs.filter((run) => run.challenge === challenge && (run.messages === undefined || run.id !== inStrip())),
            elsewhere: runs.filter((run) => run.challenge !== challenge).length,
            waiting: runs.filter((run) => run.challenge === challenge && run.messages === undefined),
            unsent: runs.length,
            notice: this.#notice,
        });
    }

    async #all() {
        return (await this.#store.getAll('runs')).filter((run) => run.challenge === this.page.challenge);
    }

    async #held(id) {
        return (await this.#all()).find((each) => each.id === id);
    }

    async #send() {
        if (this.#busy || this.#store === null) {
            return;
        }
        this.#busy = true;
        try {
            for (const run of (await this.#all()).filter((each) => each.messages === undefined)) {
                if (!(await this.#sendOne(run))) {
                    // It waits, and so do those behind it.
                    this.#sendLater();
                    break;
                }
            }
        } finally {
            this.#busy = false;
            this.draw();
        }
    }

    /** Whether the server has said what becomes of it. */
    async #sendOne(run) {
        let verdict;
        try {
            verdict = judge(await this.#post(run), run.id);
        } catch {
            // No connection.
            this.#notice = '';
            return false;
        }
        if (verdict.is === 'waits') {
            if (verdict.why === 'token') {
                document.dispatchEvent(new CustomEvent('skivo:ask'));
            }
            this.#notice = verdict.said || why(verdict.why);
            return false;
        }
        this.#patience = 1000;
        this.#notice = '';
        if (verdict.is === 'stored') {
            await this.#store.delete('runs', run.order);
            this.page.on.logged(run, verdict.said);
            return true;
        }
        const refused = { ...run, names: verdict.names, messages: verdict.messages, isQuestion: verdict.is === 'question' };
        await this.#store.put('runs', refused);
        this.page.on.refused(refused);
        return true;
    }

    async #post(run) {
        const response = await fetch(this.page.address, {
            method: 'POST',
            headers: { Accept: 'application/json', 'Content-Type': 'application/json', 'X-CSRF-TOKEN': this.page.token() },
            body: JSON.stringify(run.fields),
            credentials: 'same-origin',
            redirect: 'manual',
        });
        return {
            status: response.status,
            isRedirect: response.type === 'opaqueredirect' || response.redirected,
            body: await response.json().catch(() => null),
        };
    }

    #sendNow() {
        this.#patience = 1000;
        this.#send();
    }

    #sendLater() {
        clearTimeout(this.#again);
        this.#again = setTimeout(() => this.#send(), this.#patience);
        this.#patience = Math.min(this.#patience * 1.6, 15000);
    }
}
