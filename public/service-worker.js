// Opens the lane's pages again while the network is away: the page as it was last drawn, with scripts, styles and fonts.
// What was typed is kept by the page itself (resources/js/run-day/queue.js). Registered only where a page is a secure context.

const PAGES = 'skivo-pages';
const ASSETS = 'skivo-assets';
const LANE = /^\/challenges\/\d+(\/groups\/\d+\/(own|notebook|car|at\/[a-z]+))?$/;

self.addEventListener('install', () => self.skipWaiting());

self.addEventListener('activate', (event) => {
    event.waitUntil(self.clients.claim());
});

self.addEventListener('fetch', (event) => {
    const { request } = event;
    const url = new URL(request.url);
    if (request.method !== 'GET' || url.origin !== location.origin) {
        return;
    }
    if (url.pathname.startsWith('/build/')) {
        event.respondWith(asset(request));
    } else if (request.mode === 'navigate' && LANE.test(url.pathname)) {
        event.respondWith(page(request));
    }
});

/** A file whose name changes with its content. */
async function asset(request) {
    const held = await caches.match(request);
    if (held !== undefined) {
        return held;
    }
    const response = await fetch(request);
    if (response.ok) {
        keep(ASSETS, request, response.clone());
    }
    return response;
}

/** For later; a device without room shows what came all the same, and drops what it had, which is older. */
async function keep(name, key, response) {
    const cache = await caches.open(name).catch(() => null);
    await cache?.put(key, response).catch(() => cache.delete(key));
}

async function page(request) {
    const { pathname } = new URL(request.url);
    try {
        const response = await fetch(request);
        // Not what a network's own sign-in page says in its place.
        if (response.ok && response.type === 'basic' && !response.redirected && response.headers.get('X-Served-By') === 'Skivo') {
            keep(PAGES, pathname, response.clone());
        }
        // A server that is just starting, or a gateway without one behind it, is away as well.
        const held = [502, 503, 504].includes(response.status) ? await caches.match(pathname) : undefined;
        return held ?? response;
    } catch (away) {
        const held = await caches.match(pathname);
        if (held === undefined) {
            throw away;
        }
        return held;
    }
}
