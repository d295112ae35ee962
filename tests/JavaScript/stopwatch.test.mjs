import assert from 'node:assert/strict';
import { test } from 'node:test';
import { stopwatch } from '../../resources/js/run/stopwatch.js';

test('it starts, splits where a stretch is timed, and stops', () => {
    const watch = stopwatch(true);
    assert.equal(watch.reading(500), 0);
    assert.equal(watch.next(), 'start');
    assert.deepEqual(watch.press(1000), { did: 'start', time: 0 });
    assert.equal(watch.next(), 'split');
    assert.equal(watch.reading(1250), 250);
    assert.deepEqual(watch.press(1730), { did: 'split', time: 730 });
    assert.equal(watch.next(), 'stop');
    assert.deepEqual(watch.press(4010), { did: 'stop', time: 3010 });
    assert.equal(watch.reading(9000), 3010, 'it stands');
    assert.equal(watch.isRunning(), false);
    assert.equal(watch.next(), 'again');
});

test('without a timed stretch the second press stops it', () => {
    const watch = stopwatch(false);
    watch.press(0);
    assert.equal(watch.next(), 'stop');
    assert.deepEqual(watch.press(2500), { did: 'stop', time: 2500 });
});

test('a press after the stop begins the next run, with nothing of the last', () => {
    const watch = stopwatch(true);
    watch.press(0);
    watch.press(700);
    watch.press(1500);
    assert.deepEqual(watch.press(5000), { did: 'start', time: 0 });
    assert.deepEqual(watch.press(5800), { did: 'split', time: 800 });
    watch.reset();
    assert.equal(watch.reading(9000), 0);
    assert.equal(watch.isRunning(), false);
    assert.deepEqual(watch.press(9000), { did: 'start', time: 0 });
});
