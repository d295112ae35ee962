import { openDB } from 'idb';

/**
 * What waits on the device, in IndexedDB, so that a reload or an empty battery loses nothing. Where the device has no room,
 * or keeps nothing at all, it is held by this page alone, and the page says so.
 */
export class Store {
    #database = null;
    #held = new Map();
    #next = -1;

    constructor() {
        this.opened = this.#open();
    }

    async #open() {
        try {
            this.#database = await openDB('skivo-outgoing', 1, {
                upgrade(database) {
                    database.createObjectStore('items', { keyPath: 'order', autoIncrement: true });
                },
            });
            await this.#takeOver('skivo', 'runs', (run) => ({ ...run, kind: 'run', address: `/challenges/${run.challenge}/runs` }));
            await this.#takeOver('skivo-group', 'entries', (entry) => ({ ...entry, kind: 'entry' }));
        } catch {
            // A browser that keeps nothing: this page holds it.
        }
    }

    /** What an older page of Skivo left on the device. */
    async #takeOver(name, table, changed) {
        const older = await openDB(name, 1, {
            upgrade(database) {
                database.createObjectStore(table, { keyPath: 'order', autoIncrement: true });
            },
        });
        for (const item of await older.getAll(table)) {
            const { order, ...rest } = changed(item);
            await this.#database.add('items', rest);
            await older.delete(table, order);
        }
        older.close();
    }

    /** @returns {Promise<object[]>} in the order in which they were made */
    async all() {
        const kept = this.#database === null ? [] : await this.#database.getAll('items');
        return [...kept, ...this.#held.values()];
    }

    /** Keeps a new one, or what became of one that is there. */
    async put(item) {
        try {
            if (this.#database === null || item.order < 0) {
                throw new Error('not kept');
            }
            const order = await this.#database.put('items', item);
            return { ...item, order };
        } catch {
            const held = { ...item, order: item.order ?? this.#next-- };
            this.#held.set(held.order, held);
            return held;
        }
    }

    async remove(order) {
        if (this.#held.delete(order) && order < 0) {
            return;
        }
        await this.#database?.delete('items', order);
    }

    /** Whether something would be gone if this page were closed. */
    get isHeldOnly() {
        return this.#held.size > 0;
    }
}
