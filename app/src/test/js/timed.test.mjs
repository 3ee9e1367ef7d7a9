import assert from 'node:assert/strict';
import { test } from 'node:test';
import { timedAt, wordAt } from '../../main/resources/static/js/timed.js';

// "The lamp was lit": "was" has no time of its own
const DATA = { words: [{ end: 3, from: 0.1 }, { end: 8, from: 0.3 }, { end: 16, from: 0.9 }] };

test('the word that sounds is the last that has begun', () => {
  assert.equal(wordAt(DATA, 0), -1);
  assert.equal(wordAt(DATA, 0.1), 0);
  assert.equal(wordAt(DATA, 0.89), 1);
  assert.equal(wordAt(DATA, 100), 2);
  assert.equal(wordAt({ words: [] }, 1), -1);
});

test('a place in the text is its word, or the next that has a time', () => {
  assert.equal(timedAt(DATA, 0), 0);
  assert.equal(timedAt(DATA, 5), 1);
  assert.equal(timedAt(DATA, 9), 2);
  assert.equal(timedAt(DATA, 99), 2);
});
