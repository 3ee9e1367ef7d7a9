import assert from 'node:assert/strict';
import { test } from 'node:test';
import { clock, timecode } from '../../main/resources/static/js/clock.js';

const RATES = {
  25: { frames: 25, seconds: 1, counted: 25, drop: false, start: 0 },
  2997: { frames: 30000, seconds: 1001, counted: 30, drop: true, start: 0 },
  5994: { frames: 60000, seconds: 1001, counted: 60, drop: true, start: 0 },
};

test('minutes and seconds, and hours only where there are any', () => {
  assert.equal(clock(0), '00:00');
  assert.equal(clock(59.6), '01:00');
  assert.equal(clock(3599), '59:59');
  assert.equal(clock(3661), '1:01:01');
});

test('a timecode counts whole frames', () => {
  assert.equal(timecode(0, RATES[25]), '00:00:00:00');
  assert.equal(timecode(1.999, RATES[25]), '00:00:01:24');
  assert.equal(timecode(3600, { ...RATES[25], start: 10 * 3600 * 25 }), '11:00:00:00');
});

// SMPTE ST 12-1: numbers 00 and 01 are left out at the start of each minute, but not of each tenth
test('drop-frame timecode leaves two numbers out each minute but the tenth', () => {
  const at = frame => timecode(frame * 1001 / 30000, RATES[2997]);
  assert.equal(at(1799), '00:00:59;29');
  assert.equal(at(1800), '00:01:00;02');
  assert.equal(at(17981), '00:09:59;29');
  assert.equal(at(17982), '00:10:00;00');
  assert.equal(at(107892), '01:00:00;00');
});

test('at twice the rate four numbers are left out', () => {
  const at = frame => timecode(frame * 1001 / 60000, RATES[5994]);
  assert.equal(at(3599), '00:00:59;59');
  assert.equal(at(3600), '00:01:00;04');
  assert.equal(at(35964), '00:10:00;00');
});
