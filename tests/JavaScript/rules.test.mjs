import assert from 'node:assert/strict';
import { test } from 'node:test';
import { readIn, written } from '../../resources/js/build/rules.js';

test('a slider writes its unit, and inches in fractions as a ruler has them', () => {
    assert.equal(written(6.5, 'mm', false), '6.5 mm');
    assert.equal(written(19, 'cm', false), '19 cm');
    assert.equal(written(10, '', false), '10');
    assert.equal(written(2.4375, 'in', true), '2 7/16 in');
    assert.equal(written(0.25, 'in', true), '1/4 in');
    assert.equal(written(3, 'in', true), '3 in');
    assert.equal(written(0, 'in', true), '0 in');
});

test('a slider follows what is typed in its own unit, and nothing else', () => {
    assert.equal(readIn('6.5', 'mm'), 6.5);
    assert.equal(readIn('6,5 mm', 'mm'), 6.5);
    assert.equal(readIn('2 7/16 in', 'in'), 2.4375);
    assert.equal(readIn('1/4', 'in'), 0.25);
    for (const other of ['', '1/4 in', 'heavy', '6 cm']) {
        assert.equal(readIn(other, 'mm'), null, other);
    }
});
