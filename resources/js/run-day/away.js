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
            const entry = root.querySelector('[data-entry]');
            if (entry === null) {
                return;
            }
            // The first visit was loaded past the worker: what it needs is kept now, before the network goes.
            await navigator.serviceWorker.ready;
            const files = performance
                .getEntriesByType('resource')
                .map((each) => each.name)
                .filter((name) => name.startsWith(`${location.origin}/build/`));
            const [pages, assets] = await Promise.all([caches.open('skivo-pages'), caches.open('skivo-assets')]);
            await Promise.all([
                fetch(location.pathname, { headers: { Accept: 'text/html', 'X-Beside': 'yes' }, credentials: 'same-origin' }).then(
                    (response) =>
                        response.ok && !response.redirected && response.headers.get('X-Served-By') === 'Skivo'
                            ? pages.put(location.pathname, response)
                            : null,
                ),
                ...files.map(async (file) => (await assets.match(file)) ?? assets.add(file)),
            ]);
            root.documentElement.dataset.keeps = '';
        })
        .catch(() => {
            // A browser that allows none of this: the page stays as it is.
        });
}
