/**
 * What an answer of the server means for something that was sent. It has it only when it says so, by its own id, in JSON: a
 * page that says "welcome" on the way, or another program at the address, has taken nothing and refused nothing.
 *
 * @param {{status: number, isRedirect: boolean, isSkivo: boolean, body: object|null}} answer with the body as parsed, null where it was no JSON
 * @param {string} id of what was sent
 * @returns {{is: 'stored'|'question'|'refused'|'waits', why?: string, names?: string[], messages?: string[], said?: string, isKnown?: boolean}}
 */
export function judge({ status, isRedirect, isSkivo = true, body }, id) {
    const waits = (why, said = '') => ({ is: 'waits', why, said });
    if (status === 413) {
        // Whoever says so: it is too large for the way to the server, and stays so.
        return { is: 'refused', why: 'large', names: [], messages: [] };
    }
    if (status === 419) {
        return waits('token');
    }
    if (isRedirect || body === null || typeof body !== 'object' || !isSkivo) {
        return waits(status >= 500 ? 'unwell' : 'stranger');
    }
    if (status === 200 || status === 201) {
        return body.id === id ? { is: 'stored', said: String(body.said ?? '') } : waits('stranger');
    }
    if (status === 409 && body.questions) {
        return {
            is: 'question',
            names: Object.keys(body.questions),
            messages: Object.values(body.questions).flat(),
            isKnown: body.known === true,
        };
    }
    if (status === 422 && body.errors) {
        return { is: 'refused', names: Object.keys(body.errors), messages: Object.values(body.errors).flat() };
    }
    if (status === 401) {
        return waits('out');
    }
    if (status === 403) {
        return waits('locked', String(body.message ?? ''));
    }
    if (status === 404 || status === 410) {
        return waits('gone');
    }
    if (status >= 500 || status === 429 || status === 408) {
        return waits('unwell', status === 507 || status === 503 ? String(body.message ?? '') : '');
    }
    return { is: 'refused', why: 'other', names: [], messages: body.message ? [String(body.message)] : [] };
}

/** Whether what waits for this holds up everything behind it, and not only what goes to the same group. */
export const holdsAll = (why) => !['locked', 'gone'].includes(why);
