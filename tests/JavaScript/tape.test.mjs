import assert from 'node:assert/strict';
import { test } from 'node:test';
import { labelStep, markings, multiples } from '../../resources/js/figures/tape.js';

const KINDS = ['metric', 'imperial', null];
/** px that a label takes at the size at which tapes are drawn. */
const width = (text) => 9 * text.length;

test('multiples end at the end, and are not carried away by rounding', () => {
    assert.deepEqual(multiples(10, 35), [0, 10, 20, 30]);
    assert.deepEqual(multiples(0.1, 0.3), [0, 0.1, 0.2, 0.3]);
    assert.equal(multiples(0.01, 1).length, 101);
});

test('no two labels collide, on any scale and width', () => {
    for (const kind of KINDS) {
        for (const px of [300, 640, 1140]) {
            for (const max of [3, 12, 80, 333, 1000, 2600, 3937]) {
                const { labels } = markings({ kind, scale: (value) => (value / max) * px, max });
                for (let i = 1; i < labels.length; i++) {
                    const before = labels[i - 1].x + (labels[i - 1].isFirst ? width(labels[i - 1].text) : 0);
                    assert.ok(
                        labels[i].x - width(labels[i].text) > before,
                        `${kind} ${max} on ${px} px: ${labels[i - 1].text} and ${labels[i].text}`,
                    );
                }
            }
        }
    }
});

test('every label stands at a line, and lines are never closer than can be told apart', () => {
    for (const kind of KINDS) {
        for (const max of [12, 333, 2600]) {
            const { lines, labels } = markings({ kind, scale: (value) => (value / max) * 900, max });
            for (const label of labels.filter((each) => !each.isFirst)) {
                assert.ok(
                    lines.some((line) => line.isLabelled && Math.abs(line.x - label.x - 4) < 1e-6),
                    `${kind} ${max}: ${label.text}`,
                );
            }
            for (let i = 1; i < lines.length; i++) {
                assert.ok(lines[i].x - lines[i - 1].x >= Math.min(5, 900 / max - 1e-9));
            }
        }
    }
});

test('whole metres and feet are named by themselves', () => {
    const texts = (kind, max) => markings({ kind, scale: (value) => (value / max) * 1100, max }).labels.map((label) => label.text);
    assert.deepEqual(texts('metric', 400), ['0', '50', '1 m', '150', '2 m', '250', '3 m', '350', '4 m']);
    assert.ok(texts('imperial', 120).includes('5 ft'));
    assert.equal(labelStep('metric', 1000 / 800), 50);
    assert.equal(labelStep('metric', 1000 / 1800), 200);
});
