/**
 * Where a car's front is in each line of a strip. A strip has one line of pixels along the lane for each picture of a film, one below
 * the other; the car runs from lower to higher columns. Knows no page, no network and no physics.
 *
 * @typedef {{ width: number, times: number[], pixels: Uint8ClampedArray|Uint8Array }} Strip RGB, line by line
 * @typedef {{ row: number, time: number, at: number, sure: number }} Found at: column, in parts of one; sure: 0 to 1
 */

/** Lines that are looked at to learn what the floor looks like. */
const SAMPLES = 61;
const AT_REST = 9;

/** Between a start and a stop lies so much of a film at least. */
const LEAST_GAP = 0.08;

/** What differs from the floor by more, in levels of 255 or in times its noise, is something on it. */
const LEAST_LEVELS = 16;
const TIMES_NOISE = 5.5;

/** A shadow darkens all colours alike, and not to black. */
const SHADOW_DARKEST = 0.5;
const SHADOW_SPREAD = 0.07;

/** Gaps and specks on a line, as a share of its width. */
const GAP = 0.004;
const SPECK = 0.0016;

/** Most things on a line that may be the car. */
const MOST = 14;

/** A car that is hidden for longer (s) is lost. */
const HIDDEN_S = 0.4;

/** How far its way may bend from one picture to the next before that costs as much as a picture without it (share of the width). */
const BEND = 0.006;

/** From its front to its tail, at most (share of the width). */
const LONGEST = 0.14;

/** A way shorter than this share of the width is none. */
const LEAST_WAY = 0.04;

/** In so many of the lines a car has to be seen. */
const SEEN = 0.55;

/** A car that was on so much of its way in no picture at all is none: it is one place that empties, and another that fills. */
const LEAP = 0.5;

/** Where so many columns look different afterwards, the camera moved. */
const MOVED = 0.45;

export class FilmFault extends Error {
    /** @param {string} code which sentence says it */
    constructor(code) {
        super(code);
        this.code = code;
    }
}

const median = (values) => {
    const sorted = Float64Array.from(values).sort();
    return sorted.length === 0 ? 0 : sorted[sorted.length >> 1];
};

const spread = (from, to, most) => {
    const count = Math.min(most, to - from);
    return Array.from({ length: count }, (_, i) => from + Math.floor(((i + 0.5) * (to - from)) / count));
};

/** The median of some lines, by column and colour. */
function typical({ width, pixels }, rows, gains) {
    const line = new Float32Array(3 * width);
    const values = new Float64Array(rows.length);
    for (let at = 0; at < 3 * width; at += 1) {
        rows.forEach((row, i) => {
            values[i] = pixels[3 * width * row + at] / gains[row];
        });
        values.sort();
        line[at] = values[values.length >> 1];
    }
    return line;
}

/** How bright each line is over the others: lamps flicker, and phones follow. */
function gainsOf(strip) {
    const rows = strip.times.length;
    const even = new Float32Array(rows).fill(1);
    const reference = typical(strip, spread(0, rows, SAMPLES), even);
    const columns = spread(0, strip.width, 160);
    return Float32Array.from({ length: rows }, (_, row) =>
        Math.max(
            0.2,
            median(
                columns.map((column) => {
                    const at = 3 * column + 1;
                    return (strip.pixels[3 * strip.width * row + at] + 1) / (reference[at] + 1);
                }),
            ),
        ),
    );
}

const apart = (a, b, column) => Math.max(...[0, 1, 2].map((colour) => Math.abs(a[3 * column + colour] - b[3 * column + colour])));

/** For each of some columns, in how many of the lines that are looked at it still looks as it did at first. */
function howLongAsAtFirst(strip, gains, first, last, columns) {
    const rows = spread(0, strip.times.length, SAMPLES);
    return columns.map((column) => {
        let count = 0;
        for (const row of rows) {
            let [asFirst, asLast] = [0, 0];
            for (let colour = 0; colour < 3; colour += 1) {
                const seen = strip.pixels[3 * strip.width * row + 3 * column + colour] / gains[row];
                asFirst += Math.abs(seen - first[3 * column + colour]);
                asLast += Math.abs(seen - last[3 * column + colour]);
            }
            count += asFirst < asLast ? 1 : 0;
        }
        return count;
    });
}

/**
 * Where the car stood at first changes early, where it stops late, and between the two lies the run: the count that parts them, in the
 * middle of the widest gap. Where none is wide the car came into the picture, or left it: then what changed in the first half is its start.
 */
function emptiedFirst(counts) {
    const sorted = [...counts].sort((a, b) => a - b);
    let [widest, left] = [LEAST_GAP * SAMPLES, SAMPLES / 2];
    for (let i = 1; i < sorted.length; i += 1) {
        if (sorted[i] - sorted[i - 1] > widest) {
            widest = sorted[i] - sorted[i - 1];
            left = (sorted[i] + sorted[i - 1]) / 2;
        }
    }
    return left;
}

/**
 * What the floor looks like without the car: where it stood at first, as it looks afterwards; where it stands at last, as it looked before.
 */
function floorOf(strip, gains) {
    const rows = strip.times.length;
    const rest = Math.min(AT_REST, Math.max(3, rows >> 3));
    const all = typical(strip, spread(0, rows, SAMPLES), gains);
    const first = typical(strip, spread(0, rest, rest), gains);
    const last = typical(strip, spread(rows - rest, rows, rest), gains);
    const differ = [];
    for (let column = 0; column < strip.width; column += 1) {
        if (apart(first, last, column) > LEAST_LEVELS) {
            differ.push(column);
        }
    }
    if (differ.length > MOVED * strip.width) {
        throw new FilmFault('camera_moved');
    }
    const stayed = howLongAsAtFirst(strip, gains, first, last, differ);
    const left = emptiedFirst(stayed);
    const floor = all.slice();
    differ.forEach((column, i) => {
        const from = stayed[i] <= left ? last : first;
        for (let colour = 0; colour < 3; colour += 1) {
            floor[3 * column + colour] = from[3 * column + colour];
        }
    });
    return floor;
}

/** How far each pixel of a line is from the floor; shadows are no difference. */
function differences(strip, row, gain, floor, into) {
    const base = 3 * strip.width * row;
    for (let column = 0; column < strip.width; column += 1) {
        let most = 0;
        let [low, high] = [Infinity, 0];
        for (let colour = 0; colour < 3; colour += 1) {
            const seen = strip.pixels[base + 3 * column + colour] / gain;
            const was = floor[3 * column + colour];
            most = Math.max(most, Math.abs(seen - was));
            const ratio = (seen + 2) / (was + 2);
            low = Math.min(low, ratio);
            high = Math.max(high, ratio);
        }
        into[column] = high < 1 && low > SHADOW_DARKEST && high - low < SHADOW_SPREAD + 0.15 * (1 - low) ? 0 : most;
    }
    return into;
}

/**
 * Where something's front lies, in parts of a column: halfway from what it looks like to what lies before it, by the colour in which
 * the two differ most. Its shadow may lie before it, so that the floor is no measure.
 */
function frontAt(line, last, threshold, { base, width, pixels }) {
    const sure = Math.min(1, Math.max(...line.slice(Math.max(0, last - 4), last + 1)) / 120);
    const mean = (from, to, colour) => {
        let [sum, count] = [0, 0];
        for (let column = Math.max(0, from); column <= Math.min(width - 1, to); column += 1) {
            sum += pixels[base + 3 * column + colour];
            count += 1;
        }
        return count === 0 ? NaN : sum / count;
    };
    const [inside, outside] = [(colour) => mean(last - 3, last - 1, colour), (colour) => mean(last + 2, last + 4, colour)];
    const contrasts = [0, 1, 2].map((colour) => Math.abs(inside(colour) - outside(colour)) || 0);
    const colour = contrasts.indexOf(Math.max(...contrasts));
    const half = (inside(colour) + outside(colour)) / 2;
    const sign = inside(colour) > outside(colour) ? 1 : -1;
    if (contrasts[colour] < threshold / 2) {
        return { at: last + 1, sure: sure / 2 };
    }
    for (let column = Math.max(0, last - 3); column < Math.min(width - 1, last + 4); column += 1) {
        const [here, next] = [pixels[base + 3 * column + colour], pixels[base + 3 * (column + 1) + colour]];
        if (sign * (here - half) >= 0 && sign * (next - half) < 0) {
            return { at: column + 0.5 + (here - half) / (here - next), sure };
        }
    }
    return { at: last + 1, sure: sure / 2 };
}

/** The fronts of all that lies on one line. */
function fronts(line, threshold, seen) {
    const gap = Math.max(2, Math.round(GAP * line.length));
    const speck = Math.max(2, Math.round(SPECK * line.length));
    const found = [];
    let [from, last, count] = [-1, -1, 0];
    const close = () => {
        if (from >= 0 && count >= speck) {
            found.push(frontAt(line, last, threshold, seen));
        }
        from = -1;
    };
    for (let column = 0; column < line.length; column += 1) {
        if (line[column] > threshold) {
            if (from >= 0 && column - last > gap) {
                close();
            }
            if (from < 0) {
                [from, count] = [column, 0];
            }
            last = column;
            count += 1;
        }
    }
    close();
    return found.length > MOST
        ? found
              .sort((a, b) => b.sure - a.sure)
              .slice(0, MOST)
              .sort((a, b) => a.at - b.at)
        : found;
}

/** The noise of the floor: how far lines usually are from it. */
function noiseOf(strip, gains, floor) {
    const line = new Float32Array(strip.width);
    return median(spread(0, strip.times.length, SAMPLES).map((row) => median(differences(strip, row, gains[row], floor, line))));
}

/** The way through all lines that leaves out the fewest and bends the least, each with how fast it goes. */
function longestWay(candidates, times, width) {
    const ends = [];
    let best = null;
    const stateOf = (row, front) => {
        let chosen = { row, front, value: 1, speed: 0, from: null, count: 1 };
        for (let back = ends.length - 1; back >= 0 && times[row] - times[ends[back].row] <= HIDDEN_S; back -= 1) {
            const before = ends[back];
            const gone = times[row] - times[before.row];
            const way = front.at - before.front.at;
            if (gone <= 0 || way < -0.004 * width || way > (width * gone) / 0.25 + 0.01 * width) {
                continue;
            }
            const speed = way / gone;
            // A start or a stop is sudden, so that what bends the way costs no more than a picture.
            const bend = before.count < 2 ? 0 : Math.min(1, (Math.abs(speed - before.speed) * Math.min(gone, 0.05)) / (BEND * width));
            const value = before.value + 1 - bend - 0.3 * Math.max(0, row - before.row - 1);
            if (value > chosen.value) {
                const share = Math.min(1, gone / 0.12);
                chosen = {
                    row,
                    front,
                    value,
                    speed: before.count < 2 ? speed : before.speed + share * (speed - before.speed),
                    from: before,
                    count: before.count + 1,
                };
            }
        }
        return chosen;
    };
    candidates.forEach((found, row) => {
        const states = found.map((front) => stateOf(row, front));
        for (const state of states) {
            const start = originOf(state);
            // Of ways as long, the one that gets on.
            const worth = state.value + (6 * (state.front.at - start)) / width;
            if (best === null || worth > best.worth) {
                best = { worth, state };
            }
        }
        ends.push(...states);
    });
    const way = [];
    for (let state = best?.state ?? null; state !== null; state = state.from) {
        way.unshift({ row: state.row, ...state.front });
    }
    return way;
}

function originOf(state) {
    state.origin ??= state.from === null ? state.front.at : originOf(state.from);
    return state.origin;
}

/**
 * A car is several things on the line that keep their distance: wheels, and what is between them. Where a way follows one that has
 * another before it, at the distance at which another usually is, that one is the front.
 */
function foremost(way, candidates, width) {
    const isNear = (gap, usual) => Math.abs(gap - usual) < 0.35 * usual + 1;
    const gaps = way.map(({ row, at }) =>
        candidates[row].map((front) => Math.abs(front.at - at)).filter((gap) => gap > 2 && gap < LONGEST * width),
    );
    const all = gaps.flat().sort((a, b) => a - b);
    let usual = 0;
    let most = 0.5 * way.length;
    for (const gap of spread(0, all.length, 200).map((i) => all[i])) {
        const count = gaps.filter((row) => row.some((each) => isNear(each, gap))).length;
        if (count > most) {
            [usual, most] = [gap, count];
        }
    }
    if (usual === 0) {
        return way;
    }
    return way.map(({ row, at, sure }) => ({
        row,
        ...(candidates[row].find((front) => front.at > at && isNear(front.at - at, usual)) ?? { at, sure }),
    }));
}

/**
 * @param {Strip} strip
 * @returns {Found[]} one for each line on which it is seen
 * @throws {FilmFault} where no car is to be found
 */
export function findFront(strip) {
    const rows = strip.times.length;
    if (rows < 12) {
        throw new FilmFault('too_short');
    }
    const gains = gainsOf(strip);
    const floor = floorOf(strip, gains);
    const threshold = Math.max(LEAST_LEVELS, TIMES_NOISE * noiseOf(strip, gains, floor));
    const line = new Float32Array(strip.width);
    const candidates = strip.times.map((_, row) =>
        fronts(differences(strip, row, gains[row], floor, line), threshold, {
            base: 3 * strip.width * row,
            width: strip.width,
            pixels: strip.pixels,
        }),
    );
    let way = longestWay(candidates, strip.times, strip.width);
    way = way.length === 0 ? way : foremost(foremost(way, candidates, strip.width), candidates, strip.width);
    if (way.length < SEEN * rows || way.length < 12) {
        throw new FilmFault('car_not_seen');
    }
    const gone = way[way.length - 1].at - way[0].at;
    if (gone < LEAST_WAY * strip.width) {
        throw new FilmFault('nothing_moves');
    }
    if (way.some(({ at }, i) => i > 0 && at - way[i - 1].at > LEAP * gone)) {
        throw new FilmFault('car_not_seen');
    }
    return way.map(({ row, at, sure }) => ({ row, time: strip.times[row], at, sure }));
}
