import assert from 'node:assert/strict';
import { test } from 'node:test';
import { answered, Refusal } from '../../main/resources/static/js/answer.js';

test('an answer says what its JSON says, and an empty one nothing', () => {
  assert.deepEqual(answered('{"sentence":"Saved."}', 200), { sentence: 'Saved.' });
  assert.equal(answered('', 204), null);
});

test('the page of a proxy is not taken for silence, nor for an answer', () => {
  for (const status of [200, 502])
    assert.throws(
      () => answered('<html>Bad gateway</html>', status),
      refusal => refusal instanceof Refusal && refusal.status === status && /isn’t Logophon’s/.test(refusal.message),
    );
});

test('a refusal always has a sentence, and what came with it', () => {
  const refusal = (text, status) => {
    try {
      return answered(text, status);
    } catch (thrown) {
      return thrown;
    }
  };
  assert.match(refusal('', 500).message, /status 500/);
  assert.equal(refusal('{"characters":12}', 402).body.characters, 12);
  assert.match(refusal('{"characters":12}', 402).message, /status 402/);
  assert.equal(refusal('{"sentence":"Too long."}', 422).message, 'Too long.');
});
