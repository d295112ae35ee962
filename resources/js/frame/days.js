/**
 * Fields for a day: written as the page's language writes it, with the browser's calendar behind a button. The browser's own field for
 * a day would show it as the browser's language does, which on a page in another one can be read as another day.
 */
import { languageOf } from './times.js';

/** As in "4 May 2026, 09:00", from what a field of the browser holds. */
export function dayInWords(held, language) {
    const at = new Date(held.length > 10 ? held : `${held}T00:00`);
    if (Number.isNaN(at.getTime())) {
        return '';
    }
    const part = (options) => new Intl.DateTimeFormat(language, options).format(at);
    const day = `${part({ day: 'numeric' })} ${part({ month: 'long' })} ${at.getFullYear()}`;
    return held.length > 10 ? `${day}, ${held.slice(11, 16)}` : day;
}

export function attachDays(root) {
    for (const field of root.querySelectorAll('[data-day]')) {
        const calendar = Object.assign(document.createElement('input'), {
            type: field.dataset.day,
            tabIndex: -1,
            className: 'day-calendar',
        });
        calendar.setAttribute('aria-hidden', 'true');
        const button = Object.assign(document.createElement('button'), { type: 'button', className: 'day-button' });
        button.setAttribute('aria-label', field.dataset.pick);
        button.innerHTML =
            '<svg viewBox="0 0 20 20" aria-hidden="true"><path d="M3 5h14v12H3zM3 9h14M7 3v4M13 3v4" fill="none" stroke="currentColor" stroke-width="1.6"/></svg>';
        const box = Object.assign(document.createElement('span'), { className: 'day-in' });
        field.replaceWith(box);
        box.append(field, button, calendar);
        button.addEventListener('click', () => calendar.showPicker());
        calendar.addEventListener('change', () => {
            field.value = dayInWords(calendar.value, languageOf(document));
            field.dispatchEvent(new Event('input', { bubbles: true }));
        });
    }
}
