import assert from 'node:assert/strict';
import { test } from 'node:test';
import { Turns } from '../../resources/js/run/turns.js';

test('a group that ran gives way to the next turn, and keeps its later ones', () => {
    const turns = new Turns([7, 3, 7, 5]);
    turns.ran(7);
    assert.equal(turns.next, 3);
    turns.ran(5);
    assert.deepEqual(turns.coming, [3, 7]);
});

test('an extra run of a group whose turns are over takes nobody else’s', () => {
    const turns = new Turns([3]);
    turns.ran(9);
    assert.equal(turns.next, 3);
    turns.ran(3);
    assert.equal(turns.next, null);
});

test('what the server says is to come is without the runs that wait here', () => {
    const turns = new Turns([]);
    const said = [7, 3, 7];
    turns.hear(said, [7, 9]);
    assert.deepEqual(turns.coming, [3, 7]);
    assert.deepEqual(said, [7, 3, 7], 'what was said is not changed');
});
