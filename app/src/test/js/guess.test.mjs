import assert from 'node:assert/strict';
import { test } from 'node:test';
import { guessed } from '../../main/resources/static/js/direct/guess.js';

const cue = {
  text: 'He waits still.',
  words: [
    [0, 2],
    [3, 8],
    [9, 14],
  ],
  expected: [
    [0, 0.2],
    [0.2, 0.6],
    [0.6, 1],
  ],
  seconds: 1.1,
};

test('words stand where they are expected', () => {
  assert.deepEqual(
    guessed(cue).words.map(word => [word.text, word.from, word.to]),
    [
      ['He', 0, 0.2],
      ['waits', 0.2, 0.6],
      ['still', 0.6, 1],
    ],
  );
});

test('a pause moves what follows it, and makes the whole longer', () => {
  const pause = { kind: 'pause', value: '500', to: 1, origin: 'own' };
  const score = guessed({ ...cue, marks: [pause] });
  assert.equal(score.words[1].to, 0.6);
  assert.equal(score.words[2].from, 1.1);
  assert.equal(score.seconds, 1.6);
  assert.equal(guessed({ ...cue, marks: [{ ...pause, origin: 'suggested' }] }).seconds, 1.1);
  // after the last word comes the pause between cues
  assert.equal(guessed({ ...cue, marks: [{ ...pause, to: 2 }] }).seconds, 1.1);
});
