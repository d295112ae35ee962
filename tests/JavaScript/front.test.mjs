import assert from 'node:assert/strict';
import { test } from 'node:test';
import { Curve } from '../../resources/js/film/curve.js';
import { FilmFault, findFront } from '../../resources/js/film/front.js';
import { Pace } from '../../resources/js/film/pace.js';
import { takesOf } from '../../resources/js/film/takes.js';

const FLOOR = [198, 168, 128];
const CAR = [40, 42, 48];
const WIDTH = 400;
const ROWS = 120;

/** A car of 20 columns that stands, goes and stops; its front at each row. */
const frontOf = (row) => 40 + Math.max(0, Math.min(1, (row - 20) / 70)) ** 0.7 * 280;

/** A seeded noise, the same each time. */
const noise = (seed) => {
    let state = seed;
    return () => {
        state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
        return state / 2 ** 32 - 0.5;
    };
};

/**
 * @param {(row: number, column: number, colour: number[]) => number[]} change of what is seen
 */
function strip(change = (row, column, colour) => colour) {
    const random = noise(7);
    const pixels = new Uint8ClampedArray(3 * WIDTH * ROWS);
    for (let row = 0; row < ROWS; row += 1) {
        const front = frontOf(row);
        for (let column = 0; column < WIDTH; column += 1) {
            // A pixel that the front cuts shows a part of both.
            const covered = column > front - 20 ? Math.max(0, Math.min(1, front - column)) : 0;
            const seen = change(
                row,
                column,
                FLOOR.map((level, i) => level + covered * (CAR[i] - level)),
            );
            seen.forEach((level, i) => {
                pixels[3 * (WIDTH * row + column) + i] = level + 6 * random();
            });
        }
    }
    return { width: WIDTH, times: Array.from({ length: ROWS }, (_, row) => row / 30), pixels };
}

const misses = (found) => found.map(({ row, at }) => Math.abs(at - frontOf(row))).sort((a, b) => a - b);

const isFound = (found, px = 0.6) => {
    const miss = misses(found);
    assert.ok(found.length >= 0.9 * ROWS, `seen in ${found.length} of ${ROWS}`);
    assert.ok(miss[Math.floor(0.9 * miss.length)] < px, `nine of ten within ${px} px: ${miss[Math.floor(0.9 * miss.length)]}`);
};

test('a front is found to a part of a pixel', () => isFound(findFront(strip())));

test('a shadow before the car is not its front', () =>
    isFound(
        findFront(
            strip((row, column, colour) => {
                const front = frontOf(row);
                return column > front && column < front + 9 ? colour.map((level) => 0.75 * level) : colour;
            }),
        ),
        1.2,
    ));

test('lamps that flicker change nothing', () =>
    isFound(findFront(strip((row, column, colour) => colour.map((level) => level * (1 + 0.06 * Math.sin(row)))))));

test('a hand at the start and a shoe that comes and goes are not the car', () =>
    isFound(
        findFront(
            strip((row, column, colour) => {
                if (row < 24 && column < 28) {
                    return [205, 150, 122];
                }
                return row > 30 && row < 70 && column > 370 && column < 385 ? [50, 56, 74] : colour;
            }),
        ),
    ));

test('of two wheels the front one is followed', () =>
    isFound(
        findFront(
            strip((row, column, colour) => {
                const front = frontOf(row);
                return column > front - 16 && column < front - 5 ? FLOOR : colour;
            }),
        ),
    ));

test('what is no run is said, not guessed', () => {
    const fault = (made) => {
        try {
            findFront(made);
            return 'found';
        } catch (thrown) {
            assert.ok(thrown instanceof FilmFault, String(thrown));
            return thrown.code;
        }
    };
    assert.equal(fault(strip((row, column) => [FLOOR[0] + ((column * 7) % 5), FLOOR[1], FLOOR[2]])), 'car_not_seen');
    // The camera moves: another floor from the middle on.
    assert.equal(fault(strip((row, column, colour) => (row < 60 ? colour : [90, 120, 60]))), 'camera_moved');
    const { width, pixels } = strip();
    assert.equal(fault({ width, times: [0, 0.1, 0.2], pixels }), 'too_short');
});

test('a ring set by hand stands for what was found about it, one taken away leaves a gap', () => {
    const found = Array.from({ length: 101 }, (_, i) => ({ time: i / 20, along: 10 * i }));
    const curve = new Curve(found);
    assert.equal(curve.points.length, 101);
    assert.equal(curve.shown.length, 8);
    const ring = curve.shown[3];
    curve.set(ring, { along: ring.along + 40 });
    const moved = curve.points;
    assert.deepEqual(
        moved.filter(([, , hand]) => hand === 1),
        [[ring.time, ring.along, 1]],
    );
    assert.ok(moved.length < 101 && moved.every(([time], i) => i === 0 || time >= moved[i - 1][0]));
    const before = moved.length;
    curve.drop(curve.shown[6]);
    assert.equal(curve.shown.length, 7);
    assert.ok(curve.points.length < before);
    curve.set({}, { time: 4.01, along: 805 });
    assert.equal(curve.shown.length, 8);
});

/** A strip of runs one after the other, each carried back to the start after it. */
function inOneFilm(runs) {
    const parts = Array.from({ length: runs }, () => strip());
    const rows = parts[0].times.length;
    const still = 30;
    const random = noise(11);
    const carried = (row) => Math.round(320 - 280 * (row / 40));
    const blocks = parts.flatMap(({ pixels }, index) => {
        if (index === runs - 1) {
            return [pixels];
        }
        const back = new Uint8ClampedArray(3 * WIDTH * (40 + 2 * still));
        for (let row = 0; row < 40 + 2 * still; row += 1) {
            const front = carried(Math.max(0, Math.min(40, row - still)));
            for (let column = 0; column < WIDTH; column += 1) {
                const covered = column > front - 20 && column <= front;
                (covered ? CAR : FLOOR).forEach((level, i) => {
                    back[3 * (WIDTH * row + column) + i] = level + 6 * random();
                });
            }
        }
        return [pixels, back];
    });
    const pixels = new Uint8ClampedArray(blocks.reduce((sum, block) => sum + block.length, 0));
    let at = 0;
    for (const block of blocks) {
        pixels.set(block, at);
        at += block.length;
    }
    const length = pixels.length / (3 * WIDTH);
    return { strip: { width: WIDTH, times: Array.from({ length }, (_, row) => row / 30), pixels }, each: rows + 40 + 2 * still };
}

test('runs in one film are cut apart where the lane stands still, and what is carried back is none', () => {
    const { strip: film, each } = inOneFilm(3);
    const takes = takesOf(film);
    assert.equal(takes.length, 3);
    takes.forEach(({ strip: part, found }, index) => {
        const begins = part.times[0] * 30;
        const shifted = found
            .map(({ row, at }) => ({ row: Math.round(begins + row - index * each), at }))
            .filter(({ row }) => row >= 0 && row < ROWS);
        isFound(shifted);
    });
});

test('one run is one take, whole', () => {
    const whole = strip();
    const takes = takesOf(whole);
    assert.equal(takes.length, 1);
    assert.equal(takes[0].strip, whole);
    assert.throws(() => takesOf(strip(() => FLOOR)), FilmFault);
});

/** Plays a film as a machine would that can show so many pictures a second; says which it saw, and how long that took. */
function played(film, most) {
    const pace = new Pace();
    const seen = new Set();
    let [at, took, going] = [0, 0, true];
    for (let guard = 0; going && guard < 20000; guard += 1) {
        // The next one that the machine is ready for.
        const ready = at + pace.rate / most;
        const next = film.find(
            (time) => time > at + 1e-9 && (time >= ready - 1e-9 || film.filter((each) => each > at + 1e-9 && each <= ready).length <= 1),
        );
        if (next === undefined) {
            going = false;
        } else {
            took += (next - at) / pace.rate;
            at = next;
            seen.add(next);
            const step = pace.picture(next);
            if (step !== null && step.from !== null) {
                at = step.from;
            }
        }
    }
    return { share: seen.size / film.length, took, rate: pace.rate };
}

const filmOf = (perSecond, seconds) => Array.from({ length: perSecond * seconds }, (_, i) => (i + 1) / perSecond);

test('a film is played as fast as it was, and slower where pictures are missed', () => {
    const fast = played(filmOf(30, 10), 60);
    assert.ok(fast.share > 0.99 && fast.took < 11, JSON.stringify(fast));
    const slow = played(filmOf(30, 10), 20);
    assert.ok(slow.share > 0.9 && slow.took < 30, JSON.stringify(slow));
    // Of more pictures than a screen shows, enough come.
    const many = played(filmOf(240, 4), 60);
    assert.ok(many.share * 240 > 35 && many.took < 8, JSON.stringify(many));
});

test('where the end was missed it is played again, once', () => {
    const pace = new Pace();
    filmOf(30, 4).forEach((time) => pace.picture(time));
    assert.equal(pace.end(4.02), null);
    assert.deepEqual(pace.end(6), { rate: 0.5, from: 4 });
    pace.picture(4);
    assert.equal(pace.end(6), null);
});

test('pictures that were never filmed are looked for once', () => {
    const holes = filmOf(30, 10).filter((_, i) => i % 13 !== 0);
    const seen = played(holes, 60);
    assert.ok(seen.share > 0.98 && seen.took < 40, JSON.stringify(seen));
});
