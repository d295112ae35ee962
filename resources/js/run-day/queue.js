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
export function runQueue({ address, challenge, token, inStrip, on }) {
    let store = null;
    const opened = openDB('skivo', 1, {
        upgrade(database) {
            database.createObjectStore('runs', { keyPath: 'order', autoIncrement: true });
        },
    }).then(
        (database) => {
            store = database;
        },
        () => {},
    );
    const everything = () => store.getAll('runs');
    const all = async () => (await everything()).filter((run) => run.challenge === challenge);
    let busy = false;
    let again = null;
    let patience = 1000;
    let notice = '';

    const draw = async () => {
        const runs = await everything();
        on.changed({
            // What is in the strip is mended there.
            runs: runs.filter((run) => run.challenge === challenge && (run.messages === undefined || run.id !== inStrip())),
            elsewhere: runs.filter((run) => run.challenge !== challenge).length,
            waiting: runs.filter((run) => run.challenge === challenge && run.messages === undefined),
            unsent: runs.length,
            notice,
        });
    };

    const post = async (run) => {
        const response = await fetch(address, {
            method: 'POST',
            headers: { Accept: 'application/json', 'Content-Type': 'application/json', 'X-CSRF-TOKEN': token() },
            body: JSON.stringify(run.fields),
            credentials: 'same-origin',
            redirect: 'manual',
        });
        return {
            status: response.status,
            isRedirect: response.type === 'opaqueredirect' || response.redirected,
            body: await response.json().catch(() => null),
        };
    };

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
                let verdict;
                try {
                    verdict = judge(await post(run), run.id);
                } catch {
                    // No connection: it waits, and so do those behind it.
                    notice = '';
                    later();
                    break;
                }
                if (verdict.is === 'waits') {
                    if (verdict.why === 'token') {
                        document.dispatchEvent(new CustomEvent('skivo:ask'));
                    }
                    notice = verdict.said || why(verdict.why);
                    later();
                    break;
                }
                patience = 1000;
                notice = '';
                if (verdict.is === 'stored') {
                    await store.delete('runs', run.order);
                    on.logged(run, verdict.said);
                    continue;
                }
                // As it is now: somebody may have mended it meanwhile.
                run.names = verdict.names;
                run.messages = verdict.messages;
                run.isQuestion = verdict.is === 'question';
                await store.put('runs', run);
                on.refused(run);
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
        draw,
        /** Keeps a run, then sends it: a new one, or one that was mended, which takes the place of what it was. */
        async add(run) {
            if (store === null) {
                throw new Error('IndexedDB');
            }
            const held = (await all()).find((each) => each.id === run.id);
            if (held === undefined) {
                await store.add('runs', { ...run, challenge });
            } else if (held.messages !== undefined) {
                await store.put('runs', { ...run, challenge, order: held.order });
            }
            await draw();
            await send();
        },
        /** Keeps what was typed and not yet sent, because something else wants its place. */
        async park(run) {
            const held = (await all()).find((each) => each.id === run.id);
            const kept = { ...run, challenge, names: [], messages: [say('queue.not_sent')], isQuestion: false };
            await (held === undefined ? store.add('runs', kept) : store.put('runs', { ...kept, order: held.order }));
        },
        async confirm(run) {
            const sure = { ...run, fields: { ...run.fields, confirmed: run.names.join(',') } };
            delete sure.messages;
            await store.put('runs', sure);
            patience = 1000;
            send();
        },
        async drop(run) {
            await store.delete('runs', run.order);
            draw();
        },
        dropById: async (id) => {
            const held = (await all()).find((each) => each.id === id);
            if (held !== undefined) {
                await store.delete('runs', held.order);
            }
            draw();
        },
    };
}
