// Marks of the chosen cue: choosing words and gaps, setting, nudging and removing what is asked of them.

import { say, underHead } from '../app.js';
import { ask, formOf, glance, outcome } from '../ask.js';

// what a kind of mark takes, the server knows
const known = await ask('GET', '/mark-kinds').catch(refusal => {
  underHead('no-marks', `Marks can’t be set now. ${refusal.message} Reload the page when it does.`);
});
/** In what ways a reading says its words: {id, title, typed}. */
export const PRONUNCIATIONS = known?.pronunciations ?? [];
export const LONGEST_READING = known?.longestReading ?? 0;
export const KINDS = Object.fromEntries((known?.kinds ?? []).map(kind => [kind.id, kind]));
// from none upwards, and round
function offered(id) {
  const choices = KINDS[id]?.choices ?? [];
  const none = choices.indexOf('none');
  return none < 0 ? ['none', ...choices] : [...choices.slice(none), ...choices.slice(0, none)];
}
export const LEVELS = offered('stress');
export const DEPTHS = offered('breath');

let cue = null;
let marks = null;
/** @type {(what: string) => void} */
let changed = () => {};
let chosen = { from: 0, to: 0, gap: false };
let anchor = 0;
let copied = null;

export const onChange = listener => {
  changed = listener;
};
/** What the server gives of the cue: words, text, marks, quotations, roles; null while nothing is there. */
export const all = () => marks;
export const lines = () => marks?.marks ?? [];
/** What phrasing does to the words, where no mark says otherwise. */
export const phrasing = () => (marks?.phrasing ?? []).map((part, index) => ({ ...part, index }));
export const selection = () => chosen;
export const state = () => marks?.state;
export const fits = take =>
  marks !== null &&
  take.words.length === marks.words.length &&
  take.words.every((word, i) => marks.text.slice(...marks.words[i]) === word.text);

/** The marks of a cue come from the server, after what was asked for before. @param address of the cue */
export const load = address => queue(() => read(address));

async function read(address) {
  cue = address;
  marks = await glance(ask('GET', `${address}/marks`));
  const last = (marks?.words.length ?? 1) - 1;
  chosen = { from: Math.min(chosen.from, last), to: Math.min(chosen.to, last), gap: chosen.gap && chosen.from < last };
}

/** Reads the marks again, when another window may have changed them. */
export const reload = () =>
  inTurn(async () => {
    const address = cue;
    const now = await glance(ask('GET', `${address}/marks`));
    if (!now || cue !== address || JSON.stringify(now) === JSON.stringify(marks)) return;
    marks = now;
    changed('marks');
  });

export function choose(index, { extend = false, gap = false } = {}) {
  const last = (marks?.words.length ?? 1) - 1;
  const at = Math.max(0, Math.min(gap ? last - 1 : last, index));
  if (extend && !gap) {
    chosen = { from: Math.min(anchor, at), to: Math.max(anchor, at), gap: false };
  } else {
    anchor = at;
    chosen = { from: at, to: at, gap: gap && last > 0 };
  }
  changed('selection');
}

/** The end of the selection that moves when it is extended. */
export const edge = () => (anchor === chosen.from ? chosen.to : chosen.from);

/** Where a mark of a kind would stand: the chosen words, or for a gap the word before it. */
function placeOf(kind, where) {
  const { onGap } = KINDS[kind];
  const from = onGap ? where.to : where.from;
  return { start: marks.words[from][0], end: marks.words[where.to][1], from, to: where.to };
}

/** Names of the sounds that may stand in a gap. */
export async function sounds() {
  const { sounds: all } = await ask('GET', `${cue.replace(/\/cues\/.*/, '')}/beds/list`);
  return all.map(sound => sound.name);
}

/** The mark of a kind on just the chosen words. */
export function at(kind, where = chosen) {
  if (!marks) return undefined;
  const { from, to } = placeOf(kind, where);
  return marks.marks.find(
    mark => mark.kind === kind && mark.from === from && mark.to === to && mark.origin !== 'suggested',
  );
}

// one after the other, each for what was chosen when it was asked for: a value that is nudged twice quickly is changed
// twice
let line = Promise.resolve();
function queue(turn) {
  line = line.then(turn, turn);
  return line;
}

function inTurn(act) {
  const where = chosen;
  return queue(() => (marks ? act(where) : undefined));
}

/** When everything that was asked for is saved. */
export const settled = () => line;

export async function send(path, fields) {
  const now = await outcome(ask('POST', `${cue}${path}`, formOf(fields)));
  if (!now) return;
  marks = now;
  changed('marks');
}

export const set = (kind, value) => inTurn(where => setNow(kind, value, where));

async function setNow(kind, value, where) {
  if (placeOf(kind, where).to === marks.words.length - 1 && KINDS[kind].onGap) {
    say(
      'After the last word comes the pause between cues. Set it beside the score, ' +
        'and its sound under “Sounds and beds” on Listen.',
    );
    return;
  }
  const { start, end } = placeOf(kind, where);
  const nothing = value === '' || value === 'none' || (kind !== 'pause' && Number(value) === KINDS[kind]?.neutral);
  if (nothing) {
    if (at(kind, where)) await send('/marks/remove', { start, end, kind });
  } else {
    await send('/marks', { start, end, kind, value });
  }
}

export const nudge = (kind, way, fine = false) =>
  inTurn(where => {
    const now = Number(at(kind, where)?.value ?? KINDS[kind].neutral);
    const { least, most, nudge: coarse, fineNudge } = KINDS[kind];
    const value = Math.max(least, Math.min(most, now + way * (fine ? fineNudge : coarse)));
    return setNow(kind, String(Math.round(value * 100) / 100), where);
  });

const next = (list, value) => list[(list.indexOf(value ?? 'none') + 1) % list.length];
export const cycleStress = () => inTurn(where => setNow('stress', next(LEVELS, at('stress', where)?.value), where));
export const cycleBreath = () => inTurn(where => setNow('breath', next(DEPTHS, at('breath', where)?.value), where));
export const toggleWhisper = () => inTurn(where => setNow('whisper', at('whisper', where) ? '' : 'on', where));

/** Lets a quotation be said in another way. @param voicing PLAIN, TURNED or ROLE */
export const sayQuotation = ({ start, end }, voicing, role) =>
  inTurn(() => send('/quotation', { start, end, voicing, role }));

/** Moves what stands on the chosen words, or in the chosen gap, along by a word; the selection goes with it. */
export const move = by =>
  inTurn(async where => {
    const before = marks;
    await send('/marks/move', { start: marks.words[where.from][0], end: marks.words[where.to][1], gap: where.gap, by });
    if (marks === before) return;
    anchor = where.from + by;
    chosen = { from: where.from + by, to: where.to + by, gap: where.gap };
    changed('selection');
  });

/** Makes one thing that phrasing does a mark of the user's own. @param index of it */
export const own = index =>
  inTurn(async () => {
    const part = marks.phrasing[index];
    if (!part || !(await outcome(ask('POST', `${cue}/phrasing/own`, formOf({ ...part }))))) return;
    await read(cue);
    changed('marks');
  });

/** Takes what stands on the chosen words, or in the chosen gap, away. */
export const clear = () =>
  inTurn(async where => {
    const gone = marks.marks.filter(mark =>
      where.gap
        ? mark.to === where.to && (mark.kind === 'pause' || mark.kind === 'breath')
        : mark.from >= where.from && mark.to <= where.to,
    );
    for (const mark of gone) await send('/marks/remove', { start: mark.start, end: mark.end, kind: mark.kind });
    if (!gone.length) say('There are no marks there.');
  });

/** A reading belongs to what is written: it isn't copied to other words. */
export function copy() {
  if (!marks) return;
  const inside = marks.marks.filter(
    mark => mark.from >= chosen.from && mark.to <= chosen.to && mark.origin !== 'suggested' && mark.kind !== 'reading',
  );
  copied = inside.map(mark => ({
    kind: mark.kind,
    value: mark.value,
    from: mark.from - chosen.from,
    to: mark.to - chosen.from,
  }));
  say(
    inside.length
      ? `${inside.length === 1 ? '1 mark' : `${inside.length} marks`} copied.`
      : 'There are no marks there.',
  );
}

/** Puts copied marks on the words from the first chosen one on, in this cue or another. */
export const paste = () =>
  inTurn(async where => {
    if (!copied?.length) {
      say('Copy marks first.');
      return;
    }
    const first = where.from;
    for (const mark of copied) {
      const from = first + mark.from;
      const to = Math.min(first + mark.to, marks.words.length - 1);
      if (from >= marks.words.length) continue;
      await send('/marks', {
        start: marks.words[from][0],
        end: marks.words[to][1],
        kind: mark.kind,
        value: mark.value,
      });
    }
  });

/** Suggestions for a scope: proposed, taken ("/take") or cleared ("/clear"). @param one a single suggestion */
export const suggest = (path, scope, one) =>
  inTurn(async () => {
    const form = formOf({ scope });
    if (one) ['start', 'end', 'kind'].forEach(name => form.append(name, one[name]));
    if (!(await outcome(ask('POST', `${cue}/suggest${path}`, form)))) return;
    await read(cue);
    changed('marks');
  });

/** @param way undo or redo */
export const history = (way, project) =>
  inTurn(async () => {
    const done = await outcome(ask('POST', `/projects/${project}/marks/${way}`, new FormData()));
    if (!done) return;
    await read(cue);
    changed(done.dials ? 'dials' : 'marks');
  });
