import { morph } from './morph.js';

/** How often it is asked whether anything changed (ms): by a screen at the lane, and by any other page. */
const EVERY = 1000;
const EVERY_OF_PAGES = 3000;

/** A page is asked for anew no sooner than so long after the last time (ms), and not by all tablets in the same moment. */
const REST = 8000;

/**
 * Follows the class: asks a short question often, and only where the answer is new asks for what changed. Pieces of the
 * page that show it are brought to what they are now; what somebody is typing is left alone.
 */
export function attachLive(root) {
    const page = root.querySelector('[data-live]');
    if (page !== null) {
        new Live(root, page).start();
    }
}

class Live {
    #asking = false;

    /** Whether the page wants its own token with what changed. */
    #renews = false;

    /** When the page was asked for anew, as performance.now() has it. */
    #reloaded = -Infinity;

    constructor(root, page) {
        this.root = root;
        this.page = page;
        this.tag = `"${page.dataset.revision}"`;
        this.hasState = page.dataset.state !== undefined;
    }

    start() {
        setInterval(() => this.#ask(), this.hasState ? EVERY : EVERY_OF_PAGES);
        document.addEventListener('skivo:changed', () => this.#askNow());
        document.addEventListener('skivo:ask', () => {
            this.#renews = true;
            this.#ask(true);
        });
        document.addEventListener('visibilitychange', () => {
            if (!document.hidden) {
                this.#askNow();
            }
        });
        this.#ask(this.hasState && this.page.dataset.fresh === undefined);
    }

    /** Who looks at it has a reason to. */
    #askNow() {
        this.#reloaded = -Infinity;
        this.#ask();
    }

    get #shown() {
        return revision(this.tag);
    }

    async #ask(force = false) {
        if (this.#asking) {
            return;
        }
        this.#asking = true;
        try {
            const response = await fetch(this.page.dataset.live, {
                headers: { 'If-None-Match': this.tag },
                cache: 'no-store',
                credentials: 'omit',
            });
            if (this.page.dataset.connection === 'gone') {
                document.dispatchEvent(new CustomEvent('skivo:there'));
            }
            this.page.dataset.connection = 'there';
            if (force || response.status === 200) {
                await this.#refresh(revision(response.headers.get('ETag') ?? ''));
            }
        } catch {
            this.page.dataset.connection = 'gone';
        } finally {
            this.#asking = false;
        }
    }

    async #refresh(announced) {
        if (!this.hasState && performance.now() - this.#reloaded < REST * (0.75 + Math.random() / 2)) {
            // It is still new when it is asked the next time.
            return;
        }
        this.#reloaded = performance.now();
        await (this.hasState ? this.#showState(announced) : this.#reload());
        // Somebody else's request was drawing it just then.
        if (this.#shown < announced) {
            setTimeout(() => this.#ask(), 250);
        }
    }

    /** A page without a state of its own is asked for again, and its parts that show the class are taken from that. */
    async #reload() {
        const response = await beside(location.href, 'text/html');
        if (!response.ok) {
            return;
        }
        const fresh = new DOMParser().parseFromString(await response.text(), 'text/html');
        this.tag = `"${fresh.querySelector('[data-live]')?.dataset.revision}"`;
        for (const part of this.root.querySelectorAll('[data-part]')) {
            const now = fresh.querySelector(`[data-part="${part.dataset.part}"]`);
            if (now !== null) {
                morph(part, now.innerHTML);
            }
        }
    }

    async #showState(announced) {
        const asked = performance.now();
        const response = await beside(`${this.page.dataset.state}${this.#renews ? '?renew=1' : ''}`, 'application/json');
        this.#renews = false;
        if (!response.ok) {
            if ([401, 403, 404].includes(response.status)) {
                document.dispatchEvent(new CustomEvent('skivo:gone'));
            }
            return;
        }
        const state = await response.json();
        // Drawn before what is here already, while a newer one is being drawn.
        if (state.revision < this.#shown && state.revision < announced) {
            return;
        }
        this.tag = `"${state.revision}"`;
        this.#showStages(state.stages ?? {});
        for (const [name, html] of Object.entries(state.html)) {
            const piece = this.root.querySelector(`[data-piece="${name}"]`);
            if (piece !== null && html !== undefined) {
                morph(piece, html);
            }
        }
        document.dispatchEvent(new CustomEvent('skivo:state', { detail: { ...state, asked } }));
    }

    #showStages(stages) {
        for (const [stage, progress] of Object.entries(stages)) {
            const figure = this.root.querySelector(`[data-part="stages"] [data-stage="${stage}"] .num`);
            if (figure !== null) {
                figure.textContent = progress;
            }
        }
    }
}

/** The number in an ETag. */
const revision = (tag) => Number(tag.replaceAll('"', ''));

/** A question beside the page: it is no visit. */
const beside = (address, accept) => fetch(address, { headers: { Accept: accept, 'X-Beside': 'yes' }, credentials: 'same-origin' });
