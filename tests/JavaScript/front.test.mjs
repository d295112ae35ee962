import assert from 'node:assert/strict';
import { test } from 'node:test';
import { Curve } from '../../resources/js/film/curve.js';
import { FilmFault, findFront } from '../../resources/js/film/front.js';

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
