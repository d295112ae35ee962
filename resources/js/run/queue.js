import { confirmed } from '../outgoing/answers.js';
import { Outgoing } from '../outgoing/outgoing.js';
import { say } from '../words.js';

/** What is said beside runs that wait, by why they do; nothing where it is the network, which passes by itself. */
const why = ({ why: reason, said }) =>
    said || (['stranger', 'out', 'locked', 'gone', 'unwell'].includes(reason) ? say(`queue.${reason}`) : '');

/** The runs of a lane that wait on the device: what the entry strip hands over, and what is shown of it. */
export class RunQueue {
    /**
     * @param {{address: string, challenge: string, sender: string, token: () => string, inStrip: () => string, on: object}} page
     *     where runs go and for whom, and what is told: refused(run), logged(run, said), changed(state)
     */
    constructor(page) {
        this.page = page;
        this.outgoing = new Outgoing('run', {
            post: (run) => this.#post(run),
            stored: (run, said) => page.on.logged(run, said),
            refused: (run) => page.on.refused(run),
            changed: (runs) => this.#changed(runs),
            out: () => document.dispatchEvent(new CustomEvent('skivo:ask')),
        });
    }

    #whole(run) {
        const { address, challenge, sender } = this.page;
        return { ...run, address, challenge, sender };
    }

    add(run) {
        return this.outgoing.add(this.#whole(run));
    }

    /** Keeps what was typed and not yet sent, because something else wants its place. */
    park(run) {
        return this.outgoing.park(this.#whole(run), [say('queue.not_sent')]);
    }

    confirm(run) {
        return this.outgoing.again(run, { confirmed: confirmed(run) });
    }

    drop(run) {
        return this.outgoing.drop(run);
    }

    async dropById(id) {
        const held = await this.outgoing.byId(id);
        await (held === undefined ? this.draw() : this.drop(held));
    }

    draw() {
        return this.outgoing.draw();
    }

    #changed(runs) {
        const { challenge, inStrip, on } = this.page;
        const ours = runs.filter((run) => run.challenge === challenge);
        const waiting = ours.filter((run) => run.messages === undefined);
        on.changed({
            // What is in the strip is mended there.
            runs: ours.filter((run) => run.messages === undefined || run.id !== inStrip()),
            elsewhere: runs.length - ours.length,
            waiting,
            unsent: runs.length,
            notice: waiting.length === 0 ? '' : why(waiting[0].waitsFor),
        });
    }

    #post(run) {
        return fetch(run.address ?? this.page.address, {
            method: 'POST',
            headers: {
                Accept: 'application/json',
                'Content-Type': 'application/json',
                'X-CSRF-TOKEN': this.page.token(),
                ...(run.sender ? { 'X-Sender': run.sender } : {}),
            },
            body: JSON.stringify(run.fields),
            credentials: 'same-origin',
            redirect: 'manual',
        });
    }
}
