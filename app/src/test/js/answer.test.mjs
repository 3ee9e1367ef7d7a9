import assert from 'node:assert/strict';
import { test } from 'node:test';
import { answered } from '../../main/resources/static/js/answer.js';

test('an answer says what its JSON says, and an empty one nothing', () => {
  assert.deepEqual(answered('{"sentence":"Saved."}', 200), { sentence: 'Saved.' });
  assert.equal(answered('', 204), null);
});

test('the page of a proxy is not taken for silence', () => {
  const { sentence } = answered('<html>Bad gateway</html>', 502);
  assert.match(sentence, /status 502/);
  assert.doesNotMatch(sentence, /doesn’t answer/);
});

test('a refusal always has a sentence', () => {
  assert.match(answered('', 500).sentence, /status 500/);
  assert.deepEqual(answered('{"characters":12}', 402), { characters: 12, sentence: answered('', 402).sentence });
  assert.deepEqual(answered('{"sentence":"Too long."}', 422), { sentence: 'Too long.' });
});
