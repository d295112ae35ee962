import { openDB } from 'idb';
import { judge } from '../run-day/queue.js';
import { randomId } from '../run-day/ids.js';
import { say } from '../words.js';
import { smaller } from './photo.js';

/**
 * What a group ticks, guesses, writes, draws and photographs, and what is tapped at a race: kept on the tablet first, sent by an id of its own, and thrown
 * away only when the server says that it has it. Without a network it waits, across reloads and an empty battery.
 */
export function attachOutbox(root) {
    const outbox = new Outbox(root);
    root.addEventListener('submit', (event) => {
        if (event.target.matches('form[data-outbox]')) {
            event.preventDefault();
            outbox.take(event.target, event.submitter);
        }
    });
    keepDrafts(root);
}

/** Two taps within this time (ms) are one. */
const TAPPED_TWICE = 500;

const draftKey = (field) => `skivo-draft ${location.pathname} ${field.dataset.draft}`;

/** What is typed and not yet sent survives a reload. */
function keepDrafts(root) {
    for (const field of root.querySelectorAll('[data-draft]')) {
        const held = localStorage.getItem(draftKey(field));
        if (held !== null && field.value === '') {
            field.value = held;
        }
        field.addEventListener('input', () => localStorage.setItem(draftKey(field), field.value));
    }
}

class Outbox {
    #store = null;
    #forms = new Map();
    #tapped = -Infinity;
    #busy = false;
    #again = null;
    #patience = 1000;

    constructor(root) {
        this.root = root;
        this.opened = openDB('skivo-group', 1, {
            upgrade(database) {
                database.createObjectStore('entries', { keyPath: 'order', autoIncrement: true });
            },
        }).then(
            (store) => {
                this.#store = store;
                this.#send();
            },
            () => {
                // A browser that keeps nothing: what is sent is sent at once, or stays in its form.
            },
        );
        window.addEventListener('online', () => this.#sendNow());
        document.addEventListener('skivo:there', () => this.#sendNow());
    }

    /** Takes what a form holds, and gives the form back for the next. */
    async take(form, submitter) {
        // Under a finger that taps twice the next heat may stand already.
        if (submitter?.dataset.once !== undefined) {
            if (performance.now() - this.#tapped < TAPPED_TWICE) {
                return;
            }
            this.#tapped = performance.now();
        }
        await this.opened;
        this.#complain(form, null);
        const fields = {};
        let photo = null;
        for (const [name, value] of new FormData(form, submitter)) {
            if (value instanceof File) {
                photo = value.size > 0 ? await smaller(value) : null;
            } else if (name !== '_token') {
                fields[name] = value;
            }
        }
        if (form.dataset.photo !== undefined && photo === null) {
            this.#complain(form, say('outbox.choose_a_photo'));
            return;
        }
        const entry = { id: randomId(), address: form.action, fields, photo, madeAt: new Date().toISOString() };
        if (this.#store === null) {
            form.submit();
            return;
        }
        entry.order = await this.#store.add('entries', entry);
        this.#shown(form);
        this.#forms.set(entry.id, form);
        await this.#send();
    }

    /** What the form shows before the server has said anything. */
    #shown(form) {
        if (form.dataset.outbox === 'tick') {
            const button = form.querySelector('.tick-button');
            const isDone = form.elements.done.value === '1';
            button.setAttribute('aria-pressed', String(isDone));
            form.elements.done.value = isDone ? '0' : '1';
            form.closest('.build-step')?.classList.toggle('is-done', isDone);
        }
        for (const field of form.querySelectorAll('[data-draft]')) {
            localStorage.removeItem(draftKey(field));
            if (form.dataset.outbox !== 'follow') {
                field.value = '';
            }
        }
        form.dispatchEvent(new CustomEvent('skivo:taken'));
    }

    async #waiting() {
        return this.#store === null ? [] : this.#store.getAll('entries');
    }

    async #draw() {
        const count = (await this.#waiting()).length;
        for (const place of this.root.querySelectorAll('[data-outbox-says]')) {
            place.textContent = count === 0 ? '' : say(count === 1 ? 'outbox.one_waits' : 'outbox.some_wait', { count });
        }
    }

    async #send() {
        if (this.#busy || this.#store === null) {
            return;
        }
        this.#busy = true;
        const sent = [];
        try {
            // What is tapped while it sends is sent as well.
            for (let entry = await this.#first(); entry !== undefined; entry = await this.#first()) {
                const verdict = await this.#sendOne(entry);
                if (verdict.is === 'waits') {
                    this.#sendLater();
                    break;
                }
                await this.#store.delete('entries', entry.order);
                this.#patience = 1000;
                const form = this.#forms.get(entry.id) ?? null;
                this.#forms.delete(entry.id);
                if (verdict.is === 'stored') {
                    if (form?.dataset.outbox === 'live') {
                        form.reset();
                    }
                    sent.push(form);
                } else {
                    this.#complain(form, verdict.messages.join(' '));
                }
            }
        } finally {
            this.#busy = false;
            await this.#draw();
        }
        if (sent.length > 0) {
            this.#goOn(sent[sent.length - 1]);
        }
    }

    async #first() {
        return (await this.#waiting())[0];
    }

    /** What was sent is in: to the next station, or the page as it is now. */
    #goOn(form) {
        document.dispatchEvent(new CustomEvent('skivo:changed'));
        if (form?.dataset.then !== undefined) {
            location.href = form.dataset.then;
        } else if (form !== null && !['tick', 'live'].includes(form.dataset.outbox)) {
            location.reload();
        } else {
            this.#refresh();
        }
    }

    /** The parts of the page that follow from what is in now. */
    async #refresh() {
        const response = await fetch(location.href, {
            headers: { Accept: 'text/html', 'X-Beside': 'yes' },
            credentials: 'same-origin',
        }).catch(() => null);
        if (response?.ok !== true) {
            return;
        }
        const fresh = new DOMParser().parseFromString(await response.text(), 'text/html');
        for (const piece of ['.stations', '.next-thing', '.notebook-lines']) {
            const [here, there] = [this.root.querySelector(piece), fresh.querySelector(piece)];
            if (here !== null && there !== null) {
                here.innerHTML = there.innerHTML;
            } else if (here === null && there !== null && piece === '.next-thing') {
                this.root.querySelector('.path-told')?.after(there);
            }
        }
    }

    async #sendOne(entry) {
        const body = new FormData();
        for (const [name, value] of Object.entries(entry.fields)) {
            body.append(name, value);
        }
        body.append('id', entry.id);
        body.append('made_at', entry.madeAt);
        if (entry.photo !== null) {
            body.append('photo', entry.photo, 'photo');
        }
        try {
            const response = await fetch(entry.address, {
                method: 'POST',
                headers: { Accept: 'application/json', 'X-CSRF-TOKEN': this.#token() },
                body,
                credentials: 'same-origin',
                redirect: 'manual',
            });
            const verdict = judge(
                {
                    status: response.status,
                    isRedirect: response.type === 'opaqueredirect' || response.redirected,
                    body: await response.json().catch(() => null),
                },
                entry.id,
            );
            if (verdict.why === 'token') {
                await this.#renewToken();
            }
            return verdict;
        } catch {
            return { is: 'waits' };
        }
    }

    #token() {
        return this.root.querySelector('form[data-outbox] [name="_token"]')?.value ?? '';
    }

    async #renewToken() {
        const response = await fetch(location.href, { headers: { Accept: 'text/html', 'X-Beside': 'yes' }, credentials: 'same-origin' });
        const fresh = new DOMParser().parseFromString(await response.text(), 'text/html').querySelector('[name="_token"]')?.value;
        if (fresh !== undefined) {
            for (const field of this.root.querySelectorAll('[name="_token"]')) {
                field.value = fresh;
            }
        }
    }

    #complain(form, message) {
        const place = form?.querySelector('.outbox-error');
        place?.remove();
        if (message !== null) {
            const line = this.root.createElement('p');
            line.className = 'error outbox-error';
            line.setAttribute('role', 'alert');
            line.textContent = message;
            (form ?? this.root.querySelector('[data-outbox-says]')?.parentElement)?.append(line);
        }
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
