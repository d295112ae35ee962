import { confirmed } from '../outgoing/answers.js';
import { Outgoing } from '../outgoing/outgoing.js';
import { randomId } from '../outgoing/ids.js';
import { button } from '../run/waiting.js';
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
    #forms = new Map();
    #tapped = -Infinity;
    #sent = [];

    constructor(root) {
        this.root = root;
        this.outgoing = new Outgoing('entry', {
            post: (entry) => this.#post(entry),
            stored: (entry) => this.#stored(entry),
            refused: (entry) => this.#forms.delete(entry.id),
            changed: (entries) => this.#draw(entries),
            out: () => this.#renewToken(),
            idle: () => this.#goOn(this.#sent.splice(0)),
        });
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
        const sender = this.root.body.dataset.sender ?? '';
        const entry = { id: randomId(), address: form.action, sender, fields, photo, madeAt: new Date().toISOString() };
        this.#forms.set(entry.id, form);
        const added = this.outgoing.add(entry);
        this.#shown(form);
        await added;
    }

    /** What the form shows before the server has said anything: what was in it is with the queue. */
    #shown(form) {
        if (form.dataset.outbox === 'tick') {
            const tick = form.querySelector('.tick-button');
            const isDone = form.elements.done.value === '1';
            tick.setAttribute('aria-pressed', String(isDone));
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

    #stored(entry) {
        const form = this.#forms.get(entry.id) ?? null;
        this.#forms.delete(entry.id);
        if (form?.dataset.outbox === 'live') {
            form.reset();
        }
        this.#sent.push(form);
    }

    /** What waits, by why it does, and what was refused, with all that was typed and what can be done about it. */
    #draw(entries) {
        const refused = entries.filter((entry) => entry.messages !== undefined);
        const reasons = new Map();
        for (const entry of entries.filter((each) => each.messages === undefined)) {
            reasons.set(entry.waitsFor.why, [...(reasons.get(entry.waitsFor.why) ?? []), entry]);
        }
        for (const place of this.root.querySelectorAll('[data-outbox-says]')) {
            place.replaceChildren(
                ...[...reasons].map(([why, held]) =>
                    this.#line(this.#waits(why, held.length), ...(why === 'gone' ? held.map((each) => this.#dropping(each)) : [])),
                ),
                ...refused.map((entry) => this.#refusedLine(entry)),
            );
        }
    }

    #waits(why, count) {
        const known = ['network', 'locked', 'gone', 'out', 'stranger', 'unwell'].includes(why) ? why : 'unwell';
        return say(count === 1 ? `outbox.one.${known}` : `outbox.some.${known}`, { count });
    }

    #refusedLine(entry) {
        const why = entry.messages.join(' ') || say(entry.refusedAs === 'large' ? 'outbox.too_large' : 'outbox.refused');
        const made = this.#line(
            say(entry.isQuestion ? 'outbox.in_question' : 'outbox.not_stored', { what: this.#inWords(entry), why }),
            entry.isQuestion
                ? button(say('outbox.is_right'), () => this.outgoing.again(entry, { confirmed: confirmed(entry) }))
                : button(say('outbox.send_again'), () => this.outgoing.again(entry)),
            ...(this.#formOf(entry) === null ? [] : [button(say('outbox.change'), () => this.#giveBack(entry))]),
            this.#dropping(entry),
        );
        made.className = 'error';
        made.setAttribute('role', 'alert');
        made.dataset.refused = entry.id;
        return made;
    }

    #dropping(entry) {
        return button(say('outbox.throw_away'), () => this.outgoing.drop(entry));
    }

    #line(text, ...buttons) {
        const made = this.root.createElement('span');
        made.className = 'block';
        const words = this.root.createElement('span');
        words.textContent = text;
        made.append(words, ...buttons);
        return made;
    }

    /** What somebody typed, drew or tapped, as it is told apart in the list. */
    #inWords({ fields, photo }) {
        if (photo !== null && photo !== undefined) {
            return say('outbox.what.photo');
        }
        if (fields.strokes !== undefined) {
            return say('outbox.what.drawing');
        }
        const typed = ['text', 'predicted', 'first', 'reason', 'length', 'why'].map((name) => fields[name]).filter((value) => value);
        return typed.length === 0 ? say('outbox.what.tap') : `“${typed.join(', ')}”`;
    }

    /** The form on this page from which it came, where its fields are free to be typed in again. */
    #formOf(entry) {
        const forms = [...this.root.querySelectorAll('form[data-outbox]')];
        const isIts = (form) =>
            form.action === entry.address &&
            form.elements.kind?.value === entry.fields.kind &&
            [...form.elements].some(
                (field) => field.type !== 'hidden' && field.name in entry.fields && 'value' in field && field.type !== 'submit',
            );
        return entry.photo ? null : (forms.find(isIts) ?? null);
    }

    /** Back into its form, to be changed there. */
    async #giveBack(entry) {
        const form = this.#formOf(entry);
        for (const [name, value] of Object.entries(entry.fields)) {
            const field = form.elements[name];
            if (field instanceof HTMLElement && field.type !== 'hidden') {
                field.value = value;
                field.dispatchEvent(new Event('input', { bubbles: true }));
            }
        }
        [...form.elements].find((field) => field.type !== 'hidden')?.focus();
        await this.outgoing.drop(entry);
    }

    /** What was sent is in: to the next station, or the page as it is now. */
    #goOn(forms) {
        if (forms.length === 0) {
            return;
        }
        const form = forms.at(-1);
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

    #post(entry) {
        const body = new FormData();
        for (const [name, value] of Object.entries(entry.fields)) {
            body.append(name, value);
        }
        body.append('id', entry.id);
        body.append('made_at', entry.madeAt);
        if (entry.photo !== null && entry.photo !== undefined) {
            body.append('photo', entry.photo, 'photo');
        }
        return fetch(entry.address, {
            method: 'POST',
            headers: {
                Accept: 'application/json',
                'X-CSRF-TOKEN': this.#token(),
                ...(entry.sender ? { 'X-Sender': entry.sender } : {}),
            },
            body,
            credentials: 'same-origin',
            redirect: 'manual',
        });
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
        form.querySelector('.outbox-error')?.remove();
        if (message !== null) {
            const line = this.root.createElement('p');
            line.className = 'error outbox-error';
            line.setAttribute('role', 'alert');
            line.textContent = message;
            form.append(line);
        }
    }
}
