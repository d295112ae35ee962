import { say } from '../words.js';

/**
 * Asks one question at a time; while one is under way, the newest of each kind waits, so that answers never come out of
 * order.
 *
 * @param {(kind: string) => string} address
 * @param {(kind: string, answer: object|null, fault: string|null) => void} answered
 * @param {(more: number) => void} isBusy told +1 and −1
 */
export function asker(address, answered, isBusy) {
    const waiting = new Set();
    let busy = false;
    const next = async () => {
        const [kind] = waiting;
        if (busy || kind === undefined) {
            return;
        }
        waiting.delete(kind);
        busy = true;
        isBusy(1);
        try {
            const response = await fetch(address(kind), { headers: { Accept: 'application/json' } });
            const body = await response.json();
            const fault = response.status === 403 ? say('dry_run.too_long') : body.message;
            answered(kind, response.ok ? body : null, response.ok ? null : fault);
        } catch {
            answered(kind, null, say('dry_run.no_answer'));
        }
        busy = false;
        next();
        isBusy(-1);
    };
    return (kind) => {
        waiting.add(kind);
        next();
    };
}
