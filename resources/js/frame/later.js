/** What takes the server a moment is fetched once the page is there; until then it says so, and where that fails the link stays. */
export function attachLater() {
    for (const place of document.querySelectorAll('[data-later]')) {
        fill(place).catch(() => {
            // The link that works it out stays.
        });
    }
}

async function fill(place) {
    const answer = await fetch(place.dataset.later, { headers: { Accept: 'text/html' } });
    if (answer.ok && !answer.redirected) {
        place.innerHTML = await answer.text();
    }
}
