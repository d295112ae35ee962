/**
 * What a stopwatch does at each press: starts at the release, splits at the timing line where one is timed, stops where the
 * car stops, and begins anew after that. It is told the moment (ms) and knows no clock.
 */
export function stopwatch(splits) {
    let started = null;
    let split = null;
    let stopped = null;

    return {
        /** @returns {{did: 'start'|'split'|'stop', time: number}} with the time since the start (ms) */
        press(now) {
            if (started === null || stopped !== null) {
                [started, split, stopped] = [now, null, null];
                return { did: 'start', time: 0 };
            }
            if (splits && split === null) {
                split = now;
                return { did: 'split', time: split - started };
            }
            stopped = now;
            return { did: 'stop', time: stopped - started };
        },
        reset() {
            started = split = stopped = null;
        },
        /** The time to show at a moment (ms). */
        reading: (now) => (started === null ? 0 : (stopped ?? now) - started),
        isRunning: () => started !== null && stopped === null,
        /** What the next press would do. */
        next: () => (started === null ? 'start' : stopped !== null ? 'again' : splits && split === null ? 'split' : 'stop'),
    };
}
