import { morph } from './morph.js';

const EVERY = 1000;

/**
 * Follows the class: asks a short question often, and only where the answer is new asks for what changed. Pieces of the
 * page that show it are brought to what they are now; what somebody is typing is left alone.
 */
export function attachLive(root) {
    const page = root.querySelector('[data-live]');
    if (page === null) {
        return;
    }
    let tag = `"${page.dataset.revision}"`;
    let asking = false;

    // A page without a state of its own is asked for again, and its parts that show the class are taken from that.
    const reload = async () => {
        const response = await fetch(location.href, { headers: { Accept: 'text/html', 'X-Beside': 'yes' }, credentials: 'same-origin' });
        if (!response.ok) {
            return;
        }
        const fresh = new DOMParser().parseFromString(await response.text(), 'text/html');
        tag = `"${fresh.querySelector('[data-live]')?.dataset.revision}"`;
        for (const part of root.querySelectorAll('[data-part]')) {
            const now = fresh.querySelector(`[data-part="${part.dataset.part}"]`);
            if (now !== null) {
                morph(part, now.innerHTML);
            }
        }
    };

    const shown = () => Number(tag.replaceAll('"', ''));

    const refresh = async (announced) => {
        if (page.dataset.state === undefined) {
            await reload();
            return;
        }
        const asked = performance.now();
        const response = await fetch(page.dataset.state, {
            headers: { Accept: 'application/json', 'X-Beside': 'yes' },
            credentials: 'same-origin',
        });
        if (!response.ok) {
            if (response.status === 401 || response.status === 403 || response.status === 404) {
                document.dispatchEvent(new CustomEvent('skivo:gone'));
            }
            return;
        }
        const state = await response.json();
        // Drawn before what is here already, while a newer one is being drawn.
        if (state.revision < shown() && state.revision < announced) {
            return;
        }
        tag = `"${state.revision}"`;
        const stages = root.querySelector('[data-part="stages"]');
        if (stages !== null && state.stages !== undefined) {
            for (const [stage, progress] of Object.entries(state.stages)) {
                const figure = stages.querySelector(`[data-stage="${stage}"] .num`);
                if (figure !== null) {
                    figure.textContent = progress;
                }
            }
        }
        for (const [name, html] of Object.entries(state.html)) {
            const piece = root.querySelector(`[data-piece="${name}"]`);
            if (piece !== null && html !== undefined) {
                morph(piece, html);
            }
        }
        document.dispatchEvent(new CustomEvent('skivo:state', { detail: { ...state, asked } }));
    };

    const ask = async (force = false) => {
        if (asking) {
            return;
        }
        asking = true;
        try {
            const response = await fetch(page.dataset.live, { headers: { 'If-None-Match': tag }, cache: 'no-store', credentials: 'omit' });
            if (page.dataset.connection === 'gone') {
                document.dispatchEvent(new CustomEvent('skivo:there'));
            }
            page.dataset.connection = 'there';
            if (force || response.status === 200) {
                const announced = Number((response.headers.get('ETag') ?? '').replaceAll('"', ''));
                await refresh(announced);
                // Somebody else's request was drawing it just then.
                if (shown() < announced) {
                    setTimeout(ask, 250);
                }
            }
        } catch {
            page.dataset.connection = 'gone';
        } finally {
            asking = false;
        }
    };

    setInterval(ask, EVERY);
    document.addEventListener('skivo:changed', () => ask());
    document.addEventListener('skivo:ask', () => ask(true));
    document.addEventListener('visibilitychange', () => {
        if (!document.hidden) {
            ask();
        }
    });
    ask(page.dataset.state !== undefined && page.dataset.fresh === undefined);
}
