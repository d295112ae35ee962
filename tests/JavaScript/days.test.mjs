import assert from 'node:assert/strict';
import { test } from 'node:test';
import { dayInWords } from '../../resources/js/frame/days.js';
import { languageOf } from '../../resources/js/frame/times.js';

test('a day is written in the language of the page, whatever the browser speaks', () => {
    assert.equal(dayInWords('2026-05-04', languageOf({ documentElement: { lang: 'en' } })), '4 May 2026');
    assert.equal(dayInWords('2026-05-04T09:05', 'en-GB'), '4 May 2026, 09:05');
    assert.equal(dayInWords('2026-05-04', 'fr'), '4 mai 2026');
    assert.equal(dayInWords('', 'en-GB'), '');
});
