/** Turns the moments in a page from UTC into the reader's own time. */
export function attachTimes(root) {
    const local = new Intl.DateTimeFormat(undefined, { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' });
    const clock = new Intl.DateTimeFormat(undefined, { hour: '2-digit', minute: '2-digit' });
    for (const time of root.querySelectorAll('time[data-local]')) {
        time.textContent = (time.dataset.local === 'clock' ? clock : local).format(new Date(time.dateTime)).replace(',', '');
    }
}
