import assert from 'node:assert/strict';
import { test } from 'node:test';
import { Designs } from '../../resources/js/dry-run/designs.js';

const SETTINGS = [
    { key: 'bore', usual: 0.006, limits: [0.001, 0.1] },
    { key: 'mass', usual: 0.06, limits: [0.001, 10] },
];

test('an address has what differs from the usual car', () => {
    const designs = new Designs(SETTINGS, { a: { bore: 0.008 } });
    assert.equal(designs.write('a'), 'bore:0.008');
    designs.turn('bore', 0.006);
    designs.turn('mass', 0.1 + 0.2);
    assert.equal(designs.write('a'), 'mass:0.3');
});

test('a ruler stops at what the model takes', () => {
    const designs = new Designs(SETTINGS, { a: {} });
    designs.turn('bore', 3);
    assert.equal(designs.value('bore'), 0.1);
    designs.turn('bore', 0);
    assert.equal(designs.value('bore'), 0.001);
});

test('a copy turns by itself, and there is room for three', () => {
    const designs = new Designs(SETTINGS, { a: { mass: 0.05 } });
    designs.on = designs.copy();
    assert.equal(designs.on, 'b');
    designs.turn('mass', 0.07);
    assert.deepEqual([designs.write('a'), designs.write('b')], ['mass:0.05', 'mass:0.07']);
    designs.copy();
    assert.equal(designs.hasRoom, false);
    designs.drop();
    assert.deepEqual([designs.letters, designs.on], [['a', 'c'], 'a']);
    assert.equal(designs.copy(), 'b');
});
