/** Where a page is a secure context, a service worker opens the lane's pages again while the network is away. */
export function attachAway(root) {
    if (!window.isSecureContext || !('serviceWorker' in navigator)) {
        return;
    }
    if (root.body.dataset.guest !== undefined) {
        // Nobody is signed in any more: no page of theirs is shown again.
        caches.delete('skivo-pages');
        return;
    }
    navigator.serviceWorker
        .register('/service-worker.js')
        .then(async () => {
            const path = [...root.querySelectorAll('.stations a, .path-foot a')].map((link) => new URL(link.href).pathname);
            if (root.querySelector('[data-entry]') === null && path.length === 0) {
                return;
            }
            // The first visit was loaded past the worker: what it needs is kept now, before the network goes.
            await navigator.serviceWorker.ready;
            const files = performance
                .getEntriesByType('resource')
                .map((each) => each.name)
                .filter((name) => name.startsWith(`${location.origin}/build/`));
            const [pages, assets] = await Promise.all([caches.open('skivo-pages'), caches.open('skivo-assets')]);
            const keep = (address) =>
                fetch(address, { headers: { Accept: 'text/html', 'X-Beside': 'yes' }, credentials: 'same-origin' }).then(
                    async (response) =>
                        response.ok && response.headers.get('X-Served-By') === 'Skivo'
                            ? // As an answer of its own: one that was led elsewhere opens no page. Without room the older one stays.
                              pages.put(address, new Response(await response.blob(), { headers: response.headers })).catch(() => null)
                            : null,
                );
            await Promise.all([
                // A group goes on from station to station, also without a network.
                ...[...new Set([location.pathname, ...path])].map(keep),
                ...files.map(async (file) => (await assets.match(file)) ?? assets.add(file)),
            ]);
            root.documentElement.dataset.keeps = '';
        })
        .catch(() => {
            // A browser that allows none of this: the page stays as it is.
        });
}
