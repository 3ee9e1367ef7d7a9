// The proof panel: findings as cards beside the text, and what is done about them.

import { button, element, say } from '../app.js';
import { ask, glance } from '../ask.js';
import { area, change, onCaret, project, script, take } from './script.js';
import { hear } from './hear.js';
import { rulesOf } from './byrule.js';
import { grouped } from './grouped.js';

const list = document.getElementById('findings');
const none = document.getElementById('todo-none');
const count = document.getElementById('todo-count');
const LOOKS = { UNKNOWN_WORD: 'unknown', HOMOGRAPH: 'homograph' };
const ADVICE = [
  'LONG_SENTENCE',
  'MISSING_STOP',
  'RUN_TOGETHER',
  'DOUBLED_WORD',
  'WATCH_WORD',
  'STAGE_DIRECTION',
  'LANGUAGE',
  'OVER_LIMIT',
];
const MOST_CARDS = 150;
let findings = [];
let dismissed = 0;
let right = 0;
let showRight = false;
let wanted = 0;
let shown = '';
let painted = () => {};

export const onFindings = listener => {
  painted = listener;
};
const look = kind => LOOKS[kind] ?? (ADVICE.includes(kind) ? 'advice' : 'wrong');

/** Asks for the findings of the text as it was last saved. */
export async function proof() {
  const asked = ++wanted;
  const found = await glance(ask('GET', `/projects/${project}/proof${showRight ? '?all=true' : ''}`));
  if (!found || asked !== wanted) return;
  dismissed = found.dismissed;
  right = found.right;
  findings = found.findings.map(f => ({ ...f, look: look(f.kind) }));
  if (found.version === script.version) mark();
  show();
}

/** Underlines in the text what needs a look; what is said right is left in peace. */
function mark() {
  script.findings = findings.filter(f => !f.right && f.kind !== 'LANGUAGE').sort((a, b) => a.start - b.start);
  painted();
}

/** What is to look at, in three lists; each starts with its heading and comes by kind. */
const LISTS = [
  { title: 'To decide', belongs: f => f.kind !== 'UNKNOWN_WORD' && !ADVICE.includes(f.kind) },
  { title: 'Names and words in no dictionary', belongs: f => f.kind === 'UNKNOWN_WORD' },
  { title: 'Sentences', belongs: f => ADVICE.includes(f.kind) },
];

function show() {
  const open = findings.filter(f => !f.right);
  const stuck = problems();
  // a press on what stays as it is isn't lost
  const now = JSON.stringify([findings, stuck, right, dismissed, showRight]);
  if (now === shown) return;
  shown = now;
  count.textContent = open.length + stuck.length;
  none.hidden = open.length + stuck.length > 0;
  const parts = stuck.map(stuckCard);
  let cards = 0;
  for (const { title, belongs } of LISTS) {
    const listed = open.filter(belongs);
    if (!listed.length) continue;
    parts.push(element('h3', 'kindhead', `${title} · ${listed.length}`));
    const directed = listed.filter(f => f.suggestions[0]?.act === 'MARK');
    if (directed.length > 1)
      parts.push(
        button('btn btn-plain', `Set marks for all ${directed.length} directions`, () =>
          takeItems(directed.map(f => item(f, f.suggestions[0]))),
        ),
      );
    const key = f => f.kind + (f.kind === 'HOMOGRAPH' ? f.number + f.from : f.text + f.reason);
    for (const alike of grouped(listed, key)) if (cards++ < MOST_CARDS) parts.push(card(alike));
  }
  if (cards > MOST_CARDS)
    parts.push(element('p', 'soft', `and ${cards - MOST_CARDS} more; they appear as these are settled.`));
  if (right) parts.push(rules.show(findings.filter(f => f.right), right));
  if (dismissed) {
    const foot = element('div', 'row-of-buttons mt-3');
    foot.append(
      button('btn-quiet', `Show again ${dismissed} ignored`, async () => {
        await ask('POST', `/projects/${project}/proof/show-again`);
        proof();
      }),
    );
    parts.push(foot);
  }
  const at = document.activeElement;
  const focused = list.contains(at) ? [...list.querySelectorAll('button')].indexOf(at) : -1;
  list.replaceChildren(...parts);
  if (at?.matches('#rule-filter')) at.focus();
  // whoever works through the list by keyboard goes on where they were
  if (focused >= 0) {
    const all = list.querySelectorAll('button');
    all[Math.min(focused, all.length - 1)]?.focus();
  }
}

const rules = rulesOf(project, {
  opened: open => {
    showRight = open;
    if (open) proof();
  },
  go: finding => area.select(finding.start, finding.end),
  hear: finding => hear(saidNow(finding)),
  take: (alike, i) => takeItems(alike.map(f => item(f, f.suggestions[i] ?? alike[0].suggestions[i]))),
  respell: finding => respell(finding, finding.text),
});

/** A form alone may be another one than in its sentence: its words go along. */
const saidNow = finding => ({
  written: finding.text,
  cue: finding.cue,
  ...(['SAY', 'LETTERS'].includes(finding.suggestions[0]?.act) && !['HOMOGRAPH', 'UNKNOWN_WORD'].includes(finding.kind)
    ? { said: finding.wouldSay, as: 'words' }
    : {}),
});

const respell = (finding, words) =>
  button(
    'chip',
    'Respell…',
    () =>
      document.dispatchEvent(
        new CustomEvent('logophon:respell', {
          detail: { written: finding.text, said: finding.suggestions[0]?.text ?? '', cue: finding.cue },
        }),
      ),
    `Respell ${words}`,
  );

/**
 * What keeps cues from being rendered and is no matter of words: one entry a sentence, with the cues that it holds
 * for.
 */
function problems() {
  const bySentence = new Map();
  for (const cue of script.state?.cues ?? []) {
    if (cue.problem && !findings.some(f => f.kind === 'OVER_LIMIT' && f.cue === cue.id))
      bySentence.set(cue.problem, [...(bySentence.get(cue.problem) ?? []), cue]);
  }
  return [...bySentence.values()];
}

function stuckCard(cues) {
  const box = element('div', 'finding');
  box.append(
    button('words', cues.length === 1 ? `Cue ${cues[0].number}` : `${cues.length} cues, from ${cues[0].number}`, () => {
      area.select(cues[0].start, cues[0].end);
    }),
  );
  box.append(element('p', '', cues[0].problem));
  if (cues[0].uncast) {
    const fitting = button('chip first', 'Cast a matching voice', () => {}, `Cast a matching voice ${cues[0].role}`);
    fitting.dataset.fitting = cues[0].role;
    const chips = element('div', 'chips');
    chips.append(fitting);
    box.append(chips);
  }
  return box;
}

function card(alike) {
  const finding = alike[0];
  const box = element('div', `finding ${finding.look}`);
  box.dataset.start = finding.start;
  const words = finding.text.length > 80 ? `${finding.text.slice(0, 78)}…` : finding.text;
  box.append(
    button(
      'words',
      words,
      () => {
        area.select(finding.start, finding.end);
      },
      `Go to ${words} in cue ${finding.number}`,
    ),
  );
  const numbers = [...new Set(alike.map(f => f.number))];
  box.append(
    element(
      'span',
      'where',
      numbers.length > 3 ? `${numbers.slice(0, 3).join(' ')} +${numbers.length - 3}` : numbers.join(' '),
    ),
  );
  box.append(element('p', '', finding.reason));
  const chips = element('div', 'chips');
  if (finding.wouldSay) chips.append(button('chip', '▶ Play', () => hear(saidNow(finding)), `Play ${words}`));
  finding.suggestions.forEach((suggestion, i) =>
    chips.append(
      button(
        i ? 'chip' : 'chip first',
        suggestion.label,
        () => takeItems(alike.map(f => item(f, f.suggestions[i] ?? suggestion))),
        `Use: ${suggestion.label}`,
      ),
    ),
  );
  if (
    ['SAY', 'LETTERS'].includes(finding.suggestions[0]?.act) ||
    finding.kind === 'UNKNOWN_WORD'
  ) {
    chips.append(respell(finding, words));
  }
  const leave = element('div', 'leave');
  leave.append(
    button('btn-quiet', 'Ignore', () => dismiss(alike, true), `Ignore ${words} here`),
    button('btn-quiet', 'Never ask', () => dismiss(alike, false), `Never ask about ${words} in this project`),
  );
  chips.append(leave);
  box.append(chips);
  return box;
}

const item = (f, s) => ({
  cue: f.cue,
  from: f.from,
  to: f.to,
  written: f.text,
  kind: f.kind,
  act: s.act,
  text: s.text,
  at: s.at,
});

async function takeItems(items) {
  const done = await change(`/projects/${project}/proof/take`, {}, version => ({ version, items }));
  if (!done) return;
  say(done.sentence);
  take(done.state);
}

async function dismiss(alike, here) {
  for (const finding of here ? alike : alike.slice(0, 1)) {
    await ask('POST', `/projects/${project}/proof/dismiss`, {
      cue: here ? finding.cue : null,
      kind: finding.kind,
      text: finding.text,
    });
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
