/**
 * Cuts a strip in which a car runs more than once into its takes: between two runs the lane stands still, before a start and after a
 * stop. Knows no page.
 */
import { FilmFault, findFront } from './front.js';

/** What changed from one moment to another so long before (s) moves. */
const BEFORE_S = 0.1;

/** A pixel changed where its colours did by so many levels in all, and a moment moves where this share of the lane did. */
const LEVELS = 90;
const MOVES = 0.004;

/** It stands where nothing moves for so long (s); less is a pause. */
const STANDS_S = 0.35;

/** So much of the stillness before and after belongs to a take (s). */
const MARGIN_S = 1.5;

/** A run is no shorter (s). */
const SHORTEST_S = 0.5;

/** Whether something moved at each moment. */
function movement({ width, times, pixels }) {
    let before = 0;
    return times.map((time, row) => {
        while (before < row && times[before + 1] <= time - BEFORE_S) {
            before += 1;
        }
        let changed = 0;
        let light = 0;
        for (let column = 0; column < width; column += 4) {
            const [here, there] = [3 * (row * width + column) + 1, 3 * (before * width + column) + 1];
            light += pixels[here] - pixels[there];
        }
        // Lamps flicker all over; what moves is here or there.
        light /= width / 4;
        for (let column = 0; column < width; column += 1) {
            const [here, there] = [3 * (row * width + column), 3 * (before * width + column)];
            let sum = 0;
            for (let colour = 0; colour < 3; colour += 1) {
                sum += Math.abs(pixels[here + colour] - pixels[there + colour] - light);
            }
            changed += sum > LEVELS ? 1 : 0;
        }
        return changed > Math.max(2, MOVES * width);
    });
}

/** @returns {[number, number][]} first and last row of each stretch that moves, pauses and all */
function stretches(moves, times) {
    const found = [];
    moves.forEach((is, row) => {
        const last = found[found.length - 1];
        if (is && last !== undefined && times[row] - times[last[1]] < STANDS_S) {
            last[1] = row;
        } else if (is) {
            found.push([row, row]);
        }
    });
    return found;
}

const part = ({ width, times, pixels }, from, to) => ({
    width,
    times: times.slice(from, to + 1),
    pixels: pixels.subarray(3 * width * from, 3 * width * (to + 1)),
});

function takeOf(strip) {
    try {
        return { strip, found: findFront(strip) };
    } catch (fault) {
        if (fault instanceof FilmFault) {
            return null;
        }
        throw fault;
    }
}

/**
 * @param {import('./front.js').Strip} strip
 * @returns {{ strip: import('./front.js').Strip, found: import('./front.js').Found[] }[]} one for each run, in order
 * @throws {FilmFault} where no car is to be found in it
 */
export function takesOf(strip) {
    const { times } = strip;
    const moving = stretches(movement(strip), times);
    const takes = moving.map(([from, to], i) => {
        if (moving.length < 2 || times[to] - times[from] < SHORTEST_S) {
            return null;
        }
        const [earliest, latest] = [moving[i - 1]?.[1] ?? 0, moving[i + 1]?.[0] ?? times.length - 1];
        const begins = times.findIndex((time, row) => row >= earliest && time >= times[from] - MARGIN_S);
        const ends = times.findLastIndex((time, row) => row <= latest && time <= times[to] + MARGIN_S);
        return takeOf(part(strip, begins, ends));
    });
    const runs = takes.filter((take) => take !== null);
    return runs.length > 0 ? runs : [{ strip, found: findFront(strip) }];
}
