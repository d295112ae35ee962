import test from 'node:test';
import assert from 'node:assert/strict';
import { placeNames } from '../../resources/js/figures/names.js';

const frame = { left: 0, right: 400, top: 0, bottom: 300 };
const overlap = (a, b) => a.x < b.x + b.width && b.x < a.x + a.width && a.y < b.y + b.height && b.y < a.y + a.height;

test('a lone mark has its name at its right', () => {
    const [box] = placeNames([{ x: 100, y: 100, name: 'Keel' }], frame);
    assert.ok(box.x > 100 && Math.abs(box.y + box.height / 2 - 100) < 1);
});

test('at the right edge the name stands at the left', () => {
    const [box] = placeNames([{ x: 395, y: 100, name: 'Halyard' }], frame);
    assert.ok(box.x + box.width < 395);
});

test('no name covers a mark or another name, and all stay in the frame', () => {
    const marks = Array.from({ length: 40 }, (_, i) => ({ x: 20 + ((i * 67) % 360), y: 20 + ((i * 41) % 260), name: `Group ${i}` }));
    const boxes = placeNames(marks, frame);
    const placed = boxes.filter((box) => box !== null);
    assert.ok(placed.length >= 15, `${placed.length} names have room`);
    for (const [i, box] of placed.entries()) {
        assert.ok(box.x >= 0 && box.x + box.width <= 400 && box.y >= 0 && box.y + box.height <= 300);
        assert.ok(!placed.slice(i + 1).some((other) => overlap(box, other)));
        assert.ok(!marks.some(({ x, y }) => overlap(box, { x: x - 11, y: y - 11, width: 22, height: 22 })));
    }
});

test('a name without room is left out', () => {
    const crowd = Array.from({ length: 9 }, () => ({ x: 50, y: 50, name: 'A name that is much too long for here' }));
    assert.deepEqual(
        placeNames(crowd, { left: 0, right: 100, top: 0, bottom: 100 }),
        crowd.map(() => null),
    );
});
