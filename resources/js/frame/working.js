/** A page that is longer in coming than this is said to be worked out (ms). */
const LONG = 1000;

/** Says that the next page is being worked out, where that takes long. What is downloaded leaves no page. */
export function attachWorking(root) {
    const note = root.querySelector('[data-working]');
    if (note === null) {
        return;
    }
    let timer = null;
    const begin = (event) => {
        const link = event.type === 'click' ? event.target.closest?.('a[href]') : null;
        if (event.type === 'click' && !leaves(event, link)) {
            return;
        }
        clearTimeout(timer);
        // Whoever sends a form by itself has said so by then.
        timer = setTimeout(() => (note.hidden = event.defaultPrevented), LONG);
    };
    root.addEventListener('click', begin);
    root.addEventListener('submit', begin);
    // A page that is come back to, as it was left.
    globalThis.addEventListener('pageshow', () => {
        clearTimeout(timer);
        note.hidden = true;
    });
}

/** Whether a click opens another page in this window. */
function leaves(event, link) {
    return (
        link !== null &&
        event.button === 0 &&
        !(event.ctrlKey || event.metaKey || event.shiftKey || event.altKey) &&
        !link.hasAttribute('download') &&
        link.target !== '_blank' &&
        link.origin === location.origin &&
        !(link.hash !== '' && link.pathname === location.pathname && link.search === location.search)
    );
}
