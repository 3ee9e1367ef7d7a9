// The Listen page: the programme heard through, notes where the ear stops, takes side by side, approval.

import { element, say, typing } from '../app.js';
import { ask, askPriced, formOf, outcome } from '../ask.js';
import { cueList } from '../cuelist.js';
import { bind, explain } from '../keys.js';
import { scoreOf } from '../scores.js';
import { tabsOf } from '../tabs.js';
import { wordAt } from '../timed.js';
import * as transport from '../transport.js';
import { checkPanel } from './check.js';
import { cueFilter } from './cuefilter.js';
import { describing } from './describe.js';
import { hearing } from './hearing.js';
import { historyPanel } from './history.js';
import { drawLanes, timeMap } from './lanes.js';
import { notesPanel } from './notes.js';
import { forget, sheetOf } from './sheets.js';
import { listenKeys } from './listenkeys.js';
import { takeFilter } from './takefilter.js';
import { wholePanel } from './whole.js';
import { wordsOf } from './words.js';

const main = document.querySelector('.listen');
const project = document.querySelector('.transport').dataset.project;
const page = name => document.getElementById(name);
// what is shown: a cue's sheet, its takes as lanes, which of them is heard, and what is chosen of its words
let sheet = null;
let takes = [];
let active = 0;
let chosen = [0, 0];
let lanes = null;
let hidden = false;
let onlyNew = false;
// a place that the address names: seconds into its cue
let asked = Number(new URLSearchParams(location.search).get('at') ?? NaN);
// which cue shall be shown, and from where it shall be heard: its sheet may still be on its way
let current = null;
let from = null;
let changes = 0;

const shown = () => ({ cue: sheet?.id, takes, active, words: sheet?.words ?? [], chosen });
const ear = hearing(shown);
const address = id => `/projects/${project}/listen?cue=${id}`;
const stateOf = cue => ({
  name: cue.openNotes ? 'review-noted' : `review-${cue.review}`,
  text: [
    cue.openNotes ? `${cue.openNotes} note${cue.openNotes === 1 ? '' : 's'}` : '',
    cue.review === 'approved'
      ? '✓ approved'
      : cue.openNotes && cue.review === 'unheard'
        ? ''
        : cue.review === 'changed'
          ? 'changed'
          : cue.reviewed,
  ]
    .filter(Boolean)
    .join(', '),
});
const list = cueList(page('cuelist'), address, link => open(link.dataset.cue), stateOf);
const words = wordsOf(page('words'), {
  choose: (index, extend) => choose(index, extend),
  play: index => ear.fromWord(index),
});

const filtered = cueFilter(page('filters'), page('order-told'), cues => list.filter(cues, filtered.wanted));
const lanesOf = takeFilter(page('lane-filter'), () => draw());
const isNew = cue => cue.review !== 'approved';

const send = (path, fields = {}) => outcome(ask('POST', `/projects/${project}${path}`, formOf(fields)));

/** Shows a cue. @param tell false while the programme plays: the address follows when it stops */
async function open(id, { at = null, tell = true } = {}) {
  current = id;
  from = at;
  transport.goTo(id);
  list.mark(id);
  if (tell) history.replaceState(null, '', address(id));
  await load(id);
}

async function load(id) {
  const cue = transport.all().find(one => one.id === id);
  if (!cue) return;
  let now;
  try {
    now = await sheetOf(project, id, `${changes} ${cue.sound} ${cue.takes}`);
  } catch (error) {
    say(error.message);
    return;
  }
  if (current !== id) return;
  const same = sheet?.id === id;
  const heardTake = same ? takes[active]?.id : null;
  sheet = now;
  takes = sheet.takes.filter(take => !take.deleted);
  active = Math.max(
    0,
    takes.findIndex(take => take.id === heardTake),
  );
  if (!same) chosen = [0, 0];
  fill();
  await Promise.all(
    takes.slice(0, 12).map(async take => {
      take.data = await scoreOf(take.score);
    }),
  );
  if (sheet !== now) return;
  draw();
  if (from !== null) {
    place(from);
    from = null;
  }
  Promise.all(
    takes.slice(12).map(async take => {
      take.data = await scoreOf(take.score);
    }),
  ).then(() => {
    if (sheet === now && takes.length > 12) draw();
  });
  prefetch();
}

/** The next cue is there before it sounds. */
function prefetch() {
  const cues = transport.all();
  const next = cues[transport.index() + 1];
  if (next?.sound)
    sheetOf(project, next.id, `${changes} ${next.sound} ${next.takes}`)
      .then(other => {
        const first = other.takes.find(take => take.kept);
        if (first) scoreOf(first.score);
      })
      .catch(() => {});
}

function fill() {
  page('sheet').hidden = false;
  page('cue-title').textContent = `Cue ${sheet.number}`;
  const who = page('cue-who');
  who.textContent = sheet.role + (sheet.voice ? ` · ${sheet.voice}` : '');
  page('cue-scene').textContent = sheet.scene;
  page('cue-scene').hidden = !sheet.scene;
  const state = page('cue-state');
  state.textContent = sheet.state === 'ready' ? sheet.reviewed : sheet.label;
  state.className = sheet.state === 'ready' ? `state review-${sheet.review}` : `state state-${sheet.state}`;
  page('cue-problem').textContent = sheet.problem ?? sheet.taken ?? '';
  page('cue-problem').hidden = !page('cue-problem').textContent;
  words.fill(sheet);
  words.choose(...chosen);
  notes.show(sheet.notes);
  historyOf.show(sheet.id);
  page('approve').disabled = sheet.state !== 'ready';
  page('more').disabled = sheet.state === 'rendering';
  page('say-it').href = `/projects/${project}/record?cue=${sheet.id}`;
  page('approve').firstChild.textContent = sheet.review === 'approved' ? 'Approved, next ' : 'Approve, next ';
  page('notes-count').textContent = sheet.notes.filter(note => note.open).length || '';
  deletedTakes();
}

function draw() {
  const box = page('lanes');
  page('lanes-empty').hidden = takes.length > 0;
  page('lane-tools').hidden = takes.length < 2;
  const some = lanesOf.filter(takes);
  lanes = drawLanes(box, some, some.indexOf(takes[active]) < 0 ? 0 : some.indexOf(takes[active]), hidden, {
    hear: i => hear(takes.indexOf(some[i])),
    act: (i, what) => act(some[i], what),
  });
  show();
}

function deletedTakes() {
  const gone = sheet.takes.filter(take => take.deleted);
  const box = page('deleted');
  box.hidden = gone.length === 0;
  box.replaceChildren(
    ...gone.slice(0, 20).map(take => {
      const back = element('button', 'btn-quiet', 'Restore');
      back.type = 'button';
      back.setAttribute('aria-label', `Restore ${take.name}`);
      back.addEventListener('click', () => send(`/listen/takes/${take.id}/restore`).then(changed));
      const row = element('span', 'soft', `${take.name} was deleted `);
      row.append(back);
      return row;
    }),
  );
}

const takeOf = () => takes[active];
/** The word that sounds, or else the chosen one: as a place in the cue's words. */
function wordNow() {
  const data = takeOf()?.data;
  if (!data?.words.length || !ear.playing()) return chosen[1];
  const word = data.words[Math.max(0, wordAt(data, ear.at()))];
  const index = sheet.words.findIndex(([start]) => start >= word.start);
  return index < 0 ? sheet.words.length - 1 : takeOf().otherWords ? chosen[1] : index;
}

function choose(index, extend = false) {
  const at = Math.max(0, Math.min(words.count() - 1, index));
  chosen = extend ? [Math.min(chosen[0], at), at] : [at, at];
  words.choose(...chosen);
  if (!ear.playing()) ear.from(ear.wordStart(at));
  show();
}

function place(seconds) {
  ear.from(seconds);
  const data = takeOf()?.data;
  if (data?.words.length) {
    const heard = Math.max(0, wordAt(data, seconds));
    const index = takeOf().otherWords
      ? heard
      : Math.max(
          0,
          sheet.words.findIndex(([, end]) => end > data.words[heard].start),
        );
    chosen = [index, index];
    words.choose(...chosen);
  }
  lanes?.place(seconds);
  show();
}

function show() {
  page('place-link').href = `${address(sheet.id)}&at=${ear.at().toFixed(1)}`;
}

async function hear(index) {
  if (!takes[index]) {
    say(`This cue has ${takes.length} take${takes.length === 1 ? '' : 's'}.`);
    return;
  }
  await ear.switchTo(index, other => {
    active = other;
    draw();
  });
}

async function act(take, what) {
  if (what === 'describe') {
    describe(take, sheet.labels);
    return;
  }
  const done =
    what === 'keep'
      ? await send(`/listen/takes/${take.id}/keep`)
      : what === 'delete'
        ? await send(`/listen/takes/${take.id}/delete`)
        : what === 'like'
          ? await send(`/takes/${take.id}/like`)
          : await send(`/listen/takes/${take.id}/words`, {
              name: take.title,
              remark: take.remark,
              labels: take.labels.join(','),
              starred: !take.starred,
            });
  if (done) changed();
}

const describe = describing(page('describe'), async (take, fields) => {
  if (await send(`/listen/takes/${take.id}/words`, fields)) changed();
});

const more = count =>
  outcome(askPriced(`/projects/${project}/listen/cues/${sheet.id}/more`, { count }, 'Press it again to agree.'));

async function approve() {
  if (!takeOf()) {
    say('This cue has no take yet. Render it first.');
    return;
  }
  if (!takeOf().kept) {
    say(`You hear ${takeOf().name}, but another take is kept. K keeps the one you hear.`);
    return;
  }
  const was = ear.playing() ? ear.mode() : null;
  if (await send(`/cues/${sheet.id}/approval`, { sound: sheet.sound })) {
    changed();
    const cues = transport.all();
    const next = cues
      .slice(transport.index() + 1)
      .find(cue => ((!onlyNew || isNew(cue)) && filtered.wanted(cue)) || (!filtered.all() && isNew(cue)));
    if (!next) {
      transport.halt();
      say('That was the last one.');
      return;
    }
    transport.halt();
    await open(next.id);
    if (was) ear.resume(was);
  }
}

/** What this page has changed is read again at once; the stream tells it to the others. */
function changed() {
  changes++;
  forget();
  if (current) load(current);
}

const notes = notesPanel(page('panel-notes'), project, {
  changed,
  goTo: note => {
    if (note.index >= 0) {
      choose(note.index);
      ear.fromWord(note.index);
    }
  },
  back: () => page('words').focus(),
});
const historyOf = historyPanel(page('panel-history'), project, {
  hear: async (cue, sound) => {
    if (cue !== sheet.id) await open(cue);
    ear.otherSound(sound);
  },
  keep: async take => {
    if (await send(`/listen/takes/${take}/keep`)) changed();
  },
});
const check = checkPanel(page('panel-check'), project, {
  hear: async finding => {
    if (finding.cue !== sheet?.id) await open(finding.cue);
    place(Math.max(0, finding.from - 0.4));
    ear.toggle(ear.at());
  },
  found: count => {
    page('check-count').textContent = count || '';
  },
});
const whole = wholePanel(page('panel-whole'), project, { version: ear.compare, changed });

function note() {
  const at = wordNow();
  ear.stop();
  tab('notes');
  notes.write({ cue: sheet.id, at: sheet.words[at]?.[0] ?? 0, take: takeOf()?.id, word: words.text(at) });
}

const tab = tabsOf(page('side-tabs'), name => {
  if (name === 'history') historyOf.load();
  if (name === 'check') check.load();
  if (name === 'whole') whole.load();
});

page('hide-names').addEventListener('change', event => {
  hidden = event.target.checked;
  draw();
});
page('only-new').addEventListener('change', event => {
  setOnlyNew(event.target.checked);
});
page('speed').addEventListener('click', () => {
  faster(1);
});
page('note-here').addEventListener('click', note);
page('more').addEventListener('click', () => more(1));
page('five-more').addEventListener('click', () => more(5));
page('approve').addEventListener('click', approve);
page('show-keys').addEventListener('click', () => keys.explain());
page('place-link').addEventListener('click', async event => {
  event.preventDefault();
  const link = new URL(event.target.href, location.href).href;
  try {
    await navigator.clipboard.writeText(link);
    say('Link copied.');
  } catch {
    history.replaceState(null, '', link);
    say('The address of the page leads to this place.');
  }
});

function setOnlyNew(on) {
  onlyNew = on;
  page('only-new').checked = on;
  transport.only(on ? isNew : () => true);
}

function faster(way) {
  const now = ear.speedBy(way);
  page('speed').textContent = `${now} %`;
}

document.addEventListener('logophon:playhead', event => {
  const { id, seconds, item } = event.detail;
  if (!sheet || id !== sheet.id) return;
  // the programme has the kept take, another version of it another one
  const take = takes.find(one => one.sound === item?.sound) ?? takes.find(one => one.kept) ?? takeOf();
  const data = take?.data;
  if (seconds === null || !data) {
    words.light(-1);
    lanes?.place(null);
    return;
  }
  const shownData = takeOf().data;
  lanes?.place(take === takeOf() || !shownData ? seconds : timeMap(data, shownData)(seconds));
  const heard = wordAt(data, seconds);
  const start = data.words[heard]?.start;
  words.light(
    heard < 0 || take.otherWords
      ? -1
      : sheet.words.findIndex(([from, to]) => (from <= start && to > start) || from >= start),
  );
  show();
});
document.addEventListener('logophon:cue', event => {
  open(event.detail.id, { tell: !ear.playing() });
});

function programme(cues) {
  list.show(cues, sheet?.id);
  filtered.show(cues);
  page('nothing').hidden = cues.length > 0;
  page('sheet').hidden = cues.length === 0 || !sheet;
  if (!cues.length) return;
  const wanted = current ?? new URLSearchParams(location.search).get('cue');
  const cue = cues.find(one => one.id === wanted) ?? cues[0];
  if (current !== cue.id) {
    open(cue.id, { at: Number.isNaN(asked) ? null : asked, tell: false });
    asked = NaN;
    return;
  }
  if (!ear.playing()) transport.goTo(cue.id);
  load(current);
}
document.addEventListener('logophon:programme', event => programme(event.detail.cues));
document.addEventListener('logophon:changed', event => {
  const { kinds } = event.detail;
  if (!kinds.some(kind => ['content', 'status', 'house', 'findings'].includes(kind))) return;
  changes++;
  if (current) load(current);
  if (!page('panel-history').hidden) historyOf.load();
  check.again();
  if (!page('panel-whole').hidden) whole.load();
});

const keys = listenKeys({
  ear,
  say,
  typing,
  word: wordNow,
  choose,
  chosenEnd: () => chosen[1],
  wordFrom: () => chosen[0],
  hear,
  note,
  more,
  approve,
  faster,
  withdraw: () => send(`/cues/${sheet.id}/approval/withdraw`).then(changed),
  keep: () => takeOf() && act(takeOf(), 'keep'),
  remove: () => takeOf() && act(takeOf(), 'delete'),
  star: () => takeOf() && act(takeOf(), 'star'),
  describe: () => takeOf() && act(takeOf(), 'describe'),
  hide: () => {
    hidden = !hidden;
    page('hide-names').checked = hidden;
    draw();
  },
  onlyNew: () => setOnlyNew(!onlyNew),
  step: by => list.step(by),
  open: (id, at) => open(id, { at }).then(() => ear.playing() && ear.from(at)),
  place,
  explain,
});
bind(keys.table);

let resizing = null;
window.addEventListener('resize', () => {
  clearTimeout(resizing);
  resizing = setTimeout(() => {
    if (sheet) draw();
  }, 80);
});
main.dataset.ready = 'true';
// it may have come before this page was ready for it
if (transport.all().length) programme(transport.all());
