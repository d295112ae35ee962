import assert from 'node:assert/strict';
import { test } from 'node:test';
import { judge } from '../../resources/js/run-day/queue.js';

const ID = '019a0000-0000-7000-8000-000000000001';
const answer = (status, body, isRedirect = false) => ({ status, body, isRedirect });

test('a run is stored only when JSON names it', () => {
    assert.equal(judge(answer(201, { id: ID, said: 'Keel, try 3' }), ID).is, 'stored');
    assert.equal(judge(answer(200, { id: ID, said: 'Keel, try 3' }), ID).is, 'stored');
    for (const other of [
        answer(200, null),
        answer(200, { ok: true }),
        answer(201, { id: 'another' }),
        answer(200, { id: ID }, true),
        answer(0, null, true),
        answer(204, null),
        answer(302, null),
    ]) {
        const verdict = judge(other, ID);
        assert.deepEqual([verdict.is, verdict.why], ['waits', 'stranger'], JSON.stringify(other));
    }
});

test('what a person can mend comes back with its words', () => {
    const question = judge(answer(409, { questions: { distance: 'Is the unit right?' } }), ID);
    assert.deepEqual(question, { is: 'question', names: ['distance'], messages: ['Is the unit right?'] });
    const refused = judge(answer(422, { errors: { group: ['Gone.'], note: ['Too long.'] } }), ID);
    assert.deepEqual(refused, { is: 'refused', names: ['group', 'note'], messages: ['Gone.', 'Too long.'] });
    assert.equal(judge(answer(404, { message: '' }), ID).is, 'refused');
});

test('a lost seat, a lock and a server that is unwell are waited for', () => {
    for (const [status, why] of [
        [401, 'out'],
        [403, 'locked'],
        [419, 'token'],
        [429, 'unwell'],
        [500, 'unwell'],
        [503, 'unwell'],
        [507, 'unwell'],
    ]) {
        const verdict = judge(answer(status, { message: 'm' }), ID);
        assert.deepEqual([verdict.is, verdict.why], ['waits', why], String(status));
    }
    assert.equal(judge(answer(502, null), ID).why, 'unwell');
    assert.equal(judge(answer(507, { message: 'No room.' }), ID).said, 'No room.');
});
