// The proof panel: findings as cards beside the text, and what is done about them.

import { ask, button, element, say } from '../app.js';
import { area, change, onCaret, project, script, take } from './script.js';
import { hear } from './hear.js';

const list = document.getElementById('findings');
const none = document.getElementById('todo-none');
const count = document.getElementById('todo-count');
const LOOKS = { UNKNOWN_WORD: 'unknown', HOMOGRAPH: 'homograph' };
const ADVICE = ['LONG_SENTENCE', 'MISSING_STOP', 'RUN_TOGETHER', 'DOUBLED_WORD', 'WATCH_WORD', 'STAGE_DIRECTION', 'LANGUAGE', 'OVER_LIMIT'];
const PLURALS = { UNKNOWN_WORD: 'In no dictionary', HOMOGRAPH: 'Two pronunciations', LONG_SENTENCE: 'Long sentences', MISSING_STOP: 'Missing full stops', RUN_TOGETHER: 'Run together',
  DOUBLED_WORD: 'Doubled words', WATCH_WORD: 'On the watch list', STAGE_DIRECTION: 'Directions in brackets', LANGUAGE: 'Other languages', OVER_LIMIT: 'Can’t be spoken so', MONEY: 'Money',
  ROMAN_NUMERAL: 'Roman numerals', MIXED: 'Letters and figures', WEB_ADDRESS: 'Web addresses' };
const MOST_CARDS = 150;
let findings = [];
let dismissed = 0;
let right = 0;
let showRight = false;
let wanted = 0;
let painted = () => {};

export const onFindings = listener => { painted = listener; };
const look = kind => LOOKS[kind] ?? (ADVICE.includes(kind) ? 'advice' : 'wrong');
const titled = finding => PLURALS[finding.kind] ?? `${finding.title[0].toUpperCase()}${finding.title.slice(1)}s`;

/** Asks for the findings of the text as it was last saved. */
export async function proof() {
  const asked = ++wanted;
  const { status, body } = await ask('GET', `/projects/${project}/proof${showRight ? '?all=true' : ''}`);
  if (status !== 200 || asked !== wanted) return;
  dismissed = body.dismissed;
  right = body.right;
  findings = body.findings.map(f => ({ ...f, look: look(f.kind) }));
  if (body.version === script.version) mark();
  show();
}

/** Underlines in the text what needs a look; what is said right is left in peace. */
function mark() {
  script.findings = findings.filter(f => !f.right && f.kind !== 'LANGUAGE').sort((a, b) => a.start - b.start);
  painted();
}

function show() {
  const open = findings.filter(f => !f.right);
  const stuck = problems();
  count.textContent = open.length + stuck.length;
  none.hidden = open.length + stuck.length > 0;
  const groups = new Map();
  for (const finding of showRight ? findings : open) {
    if (!groups.has(finding.kind)) groups.set(finding.kind, []);
    groups.get(finding.kind).push(finding);
  }
  const parts = stuck.map(stuckCard);
  let cards = 0;
  for (const all of groups.values()) {
    const head = element('div', 'kindhead');
    head.append(element('span', '', `${titled(all[0])} · ${all.length}`));
    const takable = all.filter(f => f.suggestions.length && !f.right);
    if (takable.length > 1 && all[0].kind !== 'LANGUAGE') head.append(button('btn-quiet', `Take all ${takable.length}`, () => takeItems(takable.map(f => item(f, f.suggestions[0])))));
    parts.push(head);
    const same = new Map();
    for (const finding of all) {
      const key = finding.kind === 'HOMOGRAPH' ? finding.number + finding.from : finding.text + finding.reason;
      same.set(key, [...(same.get(key) ?? []), finding]);
    }
    for (const alike of same.values()) if (cards++ < MOST_CARDS) parts.push(card(alike));
  }
  if (cards > MOST_CARDS) parts.push(element('p', 'soft', `and ${cards - MOST_CARDS} more; they show as these are dealt with.`));
  const foot = element('div', 'row-of-buttons mt-3');
  const takable = open.filter(f => f.suggestions.length && f.kind !== 'LANGUAGE');
  if (takable.length) foot.append(button('btn btn-sea', `Take all the suggestions, ${takable.length}`, () => takeItems(takable.map(f => item(f, f.suggestions[0])))));
  if (right) foot.append(button('btn-quiet', showRight ? 'Only what needs a look' : `Show also ${right} said right`, () => { showRight = !showRight; proof(); }));
  if (dismissed) foot.append(button('btn-quiet', `Show again ${dismissed} left alone`, async () => { await ask('POST', `/projects/${project}/proof/show-again`); proof(); }));
  parts.push(foot);
  const focused = list.contains(document.activeElement) ? [...list.querySelectorAll('button')].indexOf(document.activeElement) : -1;
  list.replaceChildren(...parts);
  // whoever works through the list by keyboard goes on where they were
  if (focused >= 0) { const all = list.querySelectorAll('button'); all[Math.min(focused, all.length - 1)]?.focus(); }
}

/** What keeps cues from being rendered and is no matter of words: one entry a sentence, with the cues that it holds for. */
function problems() {
  const bySentence = new Map();
  for (const cue of script.state?.cues ?? []) {
    if (cue.problem && !findings.some(f => f.kind === 'OVER_LIMIT' && f.cue === cue.id)) bySentence.set(cue.problem, [...(bySentence.get(cue.problem) ?? []), cue]);
  }
  return [...bySentence.values()];
}

function stuckCard(cues) {
  const box = element('div', 'finding');
  box.append(button('words', cues.length === 1 ? `Cue ${cues[0].number}` : `${cues.length} cues, from ${cues[0].number}`, () => { area.select(cues[0].start, cues[0].end); }));
  box.append(element('p', '', cues[0].problem));
  if (cues[0].uncast) {
    const fitting = button('chip first', 'Cast one who fits', () => {}, `Cast one who fits ${cues[0].role}`);
    fitting.dataset.fitting = cues[0].role;
    const chips = element('div', 'chips');
    chips.append(fitting);
    box.append(chips);
  }
  return box;
}

function card(alike) {
  const finding = alike[0];
  const box = element('div', `finding ${finding.look}${finding.right ? ' right' : ''}`);
  box.dataset.start = finding.start;
  const words = finding.text.length > 80 ? `${finding.text.slice(0, 78)}…` : finding.text;
  box.append(button('words', words, () => { area.select(finding.start, finding.end); }, `Go to ${words} in cue ${finding.number}`));
  const numbers = [...new Set(alike.map(f => f.number))];
  box.append(element('span', 'where', numbers.length > 3 ? `${numbers.slice(0, 3).join(' ')} +${numbers.length - 3}` : numbers.join(' ')));
  box.append(element('p', '', finding.reason));
  const chips = element('div', 'chips');
  if (finding.wouldSay) chips.append(button('chip', '▶ hear it', () => hear({ written: finding.text, cue: finding.cue }), `Hear how ${words} would be said`));
  finding.suggestions.forEach((suggestion, i) => chips.append(button(i ? 'chip' : 'chip first', suggestion.label, () => takeItems(alike.map(f => item(f, f.suggestions[i] ?? suggestion))), `Take: ${suggestion.label}`)));
  if (['SAY', 'LETTERS'].includes(finding.suggestions[0]?.act) || !finding.suggestions.length && finding.kind === 'UNKNOWN_WORD') {
    chips.append(button('chip', 'respell…', () => document.dispatchEvent(new CustomEvent('logophon:respell', { detail: { written: finding.text, said: finding.suggestions[0]?.text ?? '', cue: finding.cue } })), `Respell ${words}`));
  }
  const leave = element('div', 'leave');
  leave.append(button('btn-quiet', 'leave', () => dismiss(alike, true), `Leave ${words} as it is here`), button('btn-quiet', 'never ask', () => dismiss(alike, false), `Never ask about ${words} in this project`));
  chips.append(leave);
  box.append(chips);
  return box;
}

const item = (f, s) => ({ cue: f.cue, from: f.from, to: f.to, written: f.text, kind: f.kind, act: s.act, text: s.text, at: s.at });

async function takeItems(items) {
  const done = await change(`/projects/${project}/proof/take`, {}, version => ({ version, items }));
  if (!done) return;
  say(done.sentence);
  take(done.state);
}

async function dismiss(alike, here) {
  for (const finding of here ? alike : alike.slice(0, 1)) {
    const { status, body } = await ask('POST', `/projects/${project}/proof/dismiss`, { cue: here ? finding.cue : null, kind: finding.kind, text: finding.text });
    if (status !== 200) { say(body.sentence); return; }
  }
  proof();
}

/** Shows the card of the finding that the caret is in. */
function follow() {
  const at = area.caret();
  list.querySelectorAll('.here').forEach(box => box.classList.remove('here'));
  const finding = script.findings.find(f => f.start <= at && f.end >= at && f.end - f.start < 60);
  const box = finding && [...list.querySelectorAll('.finding')].find(b => Number(b.dataset.start) === finding.start);
  if (!box) return;
  box.classList.add('here');
  box.scrollIntoView({ block: 'nearest' });
}
onCaret(follow);
