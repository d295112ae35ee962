/** A form that says what its choices come to, worked out anew as it is filled in. */
export function attachAnswers(root) {
    for (const form of root.querySelectorAll('form[data-answers]')) {
        const place = form.querySelector('[data-answers-at]');
        let waiting = null;
        let asked = 0;
        const ask = async () => {
            const mine = ++asked;
            const typed = new URLSearchParams([...new FormData(form)].filter(([name]) => !name.startsWith('_')));
            try {
                const response = await fetch(`${form.dataset.answers}?${typed}`, { headers: { Accept: 'text/html', 'X-Beside': 'yes' } });
                if (response.ok && mine === asked) {
                    place.innerHTML = await response.text();
                }
            } catch {
                // Without a connection it stays as it was.
            }
        };
        form.addEventListener('input', () => {
            clearTimeout(waiting);
            waiting = setTimeout(ask, 180);
        });
    }
}
