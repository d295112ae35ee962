import assert from 'node:assert/strict';
import { test } from 'node:test';
import { holdsAll, judge } from '../../resources/js/outgoing/verdict.js';

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
    assert.deepEqual(question, { is: 'question', names: ['distance'], messages: ['Is the unit right?'], isKnown: false });
    assert.equal(judge(answer(409, { questions: { same_run: 'Is it?' }, known: true }), ID).isKnown, true);
    const refused = judge(answer(422, { errors: { group: ['Gone.'], note: ['Too long.'] } }), ID);
    assert.deepEqual(refused, { is: 'refused', names: ['group', 'note'], messages: ['Gone.', 'Too long.'] });
    assert.equal(judge(answer(418, { message: 'No.' }), ID).is, 'refused');
});

test('a lost seat, a lock and a server that is unwell are waited for', () => {
    for (const [status, why] of [
        [401, 'out'],
        [403, 'locked'],
        [404, 'gone'],
        [410, 'gone'],
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

test('what is too large for the way is refused, whoever says so, and holds up nothing behind it', () => {
    for (const body of [null, { message: 'Payload too large' }]) {
        const verdict = judge({ ...answer(413, body), isSkivo: false }, ID);
        assert.deepEqual([verdict.is, verdict.why], ['refused', 'large']);
    }
});

test('a gateway between has taken nothing and refused nothing, in whatever form it says so', () => {
    for (const [status, body] of [
        [400, { error: 'bad request' }],
        [422, { errors: { note: ['Too long.'] } }],
        [201, { id: ID }],
        [404, { message: 'no such host' }],
    ]) {
        const verdict = judge({ status, body, isRedirect: false, isSkivo: false }, ID);
        assert.deepEqual([verdict.is, verdict.why], ['waits', 'stranger'], String(status));
    }
});

test('only what concerns one group lets the rest pass', () => {
    assert.deepEqual(['locked', 'gone', 'network', 'unwell', 'stranger', 'out', 'token'].map(holdsAll), [
        false,
        false,
        true,
        true,
        true,
        true,
        true,
    ]);
});
