/** The language that a page is written in; plain English has its days before its months here. */
export function languageOf(page) {
    const language = page.documentElement.lang;
    return language === 'en' ? 'en-GB' : language;
}

/** Turns the moments in a page from UTC into the reader's own time, in the page's language. */
export function attachTimes(root) {
    const language = languageOf(document);
    const local = new Intl.DateTimeFormat(language, { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' });
    const clock = new Intl.DateTimeFormat(language, { hour: '2-digit', minute: '2-digit' });
    for (const time of root.querySelectorAll('time[data-local]')) {
        time.textContent = (time.dataset.local === 'clock' ? clock : local).format(new Date(time.dateTime)).replace(',', '');
    }
}
