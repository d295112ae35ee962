import assert from 'node:assert/strict';
import { test } from 'node:test';
import { cellsOf, step } from '../../resources/js/build/grid-cells.js';

test('a table of a spreadsheet becomes cells', () => {
    assert.deepEqual(cellsOf('58\t6 mm\r\n61\t7 mm\r\n'), [
        ['58', '6 mm'],
        ['61', '7 mm'],
    ]);
    assert.deepEqual(cellsOf('58'), [['58']]);
    assert.deepEqual(cellsOf(''), [['']]);
    assert.deepEqual(cellsOf('a\t\tb\n'), [['a', '', 'b']]);
    // Quoted as spreadsheets do it; a sign for inches begins no quote.
    assert.deepEqual(cellsOf('"two\nlines"\t"say ""go"""\n1/4"\t6'), [
        ['two\nlines', 'say "go"'],
        ['1/4"', '6'],
    ]);
    // A column with an empty last cell keeps its rows.
    assert.deepEqual(cellsOf('58\n\n61\n'), [['58'], [''], ['61']]);
});

test('keys lead from cell to cell, sideways only from the end of what is typed', () => {
    const inside = { start: false, end: false };
    assert.deepEqual(step('Enter', [0, 2], inside), [1, 2]);
    assert.deepEqual(step('ArrowDown', [0, 2], inside), [1, 2]);
    assert.deepEqual(step('ArrowUp', [3, 2], inside), [2, 2]);
    assert.equal(step('ArrowLeft', [3, 2], inside), null);
    assert.deepEqual(step('ArrowLeft', [3, 2], { start: true, end: false }), [3, 1]);
    assert.deepEqual(step('ArrowRight', [3, 2], { start: false, end: true }), [3, 3]);
    assert.equal(step('Tab', [3, 2], inside), null);
});
