let words = null;

/** Reads the page's words once; an empty list where the page has none. */
function all() {
    words ??= JSON.parse(globalThis.document?.getElementById('words')?.textContent ?? '{}');
    return words;
}

/**
 * A line of lang/en/script.php, as the page brought it along.
 *
 * @param {string} key its place, such as "queue.locked"
 * @param {Object<string, string|number>} values by the name of their place in the line
 */
export function say(key, values = {}) {
    const line = key.split('.').reduce((part, name) => part?.[name], all());
    return typeof line !== 'string' ? key : line.replace(/:([a-z_]+)/g, (place, name) => (name in values ? String(values[name]) : place));
}
