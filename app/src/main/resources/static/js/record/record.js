// The Record page: a role's cues in large type, one after another, said by a person and held against the script.

import { button, element, say } from '../app.js';
import { ask, formOf, outcome } from '../ask.js';
import { bind, explain } from '../keys.js';
import * as player from '../player.js';
import { scoreOf } from '../scores.js';
import * as transport from '../transport.js';
import { alike } from './alike.js';
import { cleaner } from './clean.js';
import { filesOf } from './files.js';
import { recorder } from './recorder.js';
import { drawWave, light } from './wave.js';

const page = id => document.getElementById(id);
const project = document.querySelector('.transport').dataset.project;

let rows = [];
let sheet = null;
let takes = [];
let heard = null;
// the cue whose recast is on its way
let coming = null;

const role = () => page('role').value;
// the cue that was asked for last: an answer that comes later than it was wanted changes nothing
let wanted = null;
const place = () => rows.findIndex(row => row.id === wanted);

// --- what is to be read

// how often the list was asked for: an answer that comes after a later one says something old
let listed = 0;

async function list() {
  listed += 1;
  const turn = listed;
  const now = await ask('GET', `/projects/${project}/record/cues?role=${encodeURIComponent(role())}`);
  if (turn !== listed) return;
  rows = now;
  const done = rows.filter(row => row.said).length;
  page('toread-told').textContent = `${rows.length === 1 ? '1 cue' : `${rows.length} cues`} · ${done} recorded`;
  page('nothing').hidden = rows.length > 0;
  page('readlist').replaceChildren(
    ...rows.map(row => {
      const item = element('li', row.id === sheet?.id ? 'current' : '');
      item.style.setProperty('--role', `var(--role-${row.colour})`);
      const link = element('a', '');
      link.href = `/projects/${project}/record?cue=${row.id}`;
      if (row.id === sheet?.id) link.setAttribute('aria-current', 'true');
      const told = element('span', 'told', row.told);
      link.append(element('span', 'figures', row.number), element('span', 'text', row.text), told);
      link.addEventListener('click', event => {
        event.preventDefault();
        open(row.id);
      });
      item.append(link);
      return item;
    }),
  );
  if (!sheet && rows.length) await open(new URLSearchParams(location.search).get('cue') ?? rows[0].id);
}

async function open(id) {
  wanted = id;
  await voice.stop();
  player.stop();
  const now = await outcome(ask('GET', `/projects/${project}/record/cues/${id}`));
  if (wanted !== id) return;
  if (!now) {
    wanted = sheet?.id ?? null;
    return;
  }
  const another = sheet?.id !== now.id;
  sheet = now;
  transport.goTo(id);
  const fields = new URLSearchParams({ cue: id, ...(role() ? { role: role() } : {}) });
  history.replaceState(null, '', `/projects/${project}/record?${fields}`);
  page('cue').hidden = false;
  page('cue-title').textContent = [`Cue ${sheet.number}`, sheet.role, sheet.scene].filter(Boolean).join(' · ');
  page('prompt').textContent = sheet.text;
  page('back').hidden = !sheet.recorded;
  if (another) {
    showCleaning(sheet.cleaning);
    voice.advise('');
    page('time').textContent = '00:00.0';
    heard = null;
  }
  markList();
  await showTakes();
  if (coming === id && sheet.state !== 'rendering') {
    coming = null;
    const made = takes.find(take => take.kept);
    say(sheet.problem || (made ? `${made.voice}: ${made.name} is ready.` : ''));
  }
}

function markList() {
  [...page('readlist').children].forEach((item, i) => {
    item.classList.toggle('current', rows[i]?.id === sheet?.id);
    const link = item.querySelector('a');
    if (rows[i]?.id === sheet?.id) {
      link.setAttribute('aria-current', 'true');
      item.scrollIntoView({ block: 'nearest' });
    } else link.removeAttribute('aria-current');
  });
}

function go(by) {
  const next = rows[place() + by];
  if (next) open(next.id);
  else voice.advise(by > 0 ? 'That was the last one.' : 'That is the first one.');
}

// --- what was said

async function showTakes() {
  const shown = sheet;
  takes = sheet.takes;
  if (!takes.some(take => take.id === heard)) heard = takes[0]?.id ?? null;
  page('recast-go').disabled = !takes.some(take => take.recorded && !take.otherWords);
  page('clean-go').disabled = !takes.some(take => take.recorded);
  page('takes').replaceChildren(...takes.map(takeCard));
  await Promise.all(
    takes.map(async take => {
      const data = await scoreOf(take.score);
      const box = page('takes').querySelector(`[data-take="${take.id}"] .waves`);
      if (sheet === shown && data && box) drawWave(box, data, take.doubts, from => hear(take, from));
    }),
  );
}

function takeCard(take) {
  const card = element('section', take.kept ? 'sheet takecard kept' : 'sheet takecard');
  card.dataset.take = take.id;
  card.setAttribute('aria-label', `${take.name}, ${take.voice}`);
  const head = element('div', 'takehead');
  head.append(
    element(
      'h2',
      'label',
      `${take.name} · ${take.cleaned ? `cleaned: ${take.cleaned}` : take.recorded ? 'checked against the script'
          : take.voice}`,
    ),
    element('span', 'figures soft', take.told),
  );
  card.append(head);
  if (take.title || take.remark)
    card.append(element('p', 'soft remark', [take.title, take.remark].filter(Boolean).join(': ')));
  card.append(element('div', 'waves'));
  if (take.warning) card.append(element('p', 'notice', take.warning));
  if (take.otherWords) card.append(element('p', 'notice', 'The words have changed since it was recorded.'));
  take.findings.forEach(finding => {
    const line = element('p', 'doubt');
    line.append(
      element('span', 'pill amber', finding.sentence),
      button('btn-quiet', 'Play', () => hear(take, Math.max(0, finding.from - 0.4))),
      button('btn-quiet', 'Ignore', () => leave(take, finding, line), `Ignore: ${finding.sentence}`),
    );
    card.append(line);
  });
  const acts = element('div', 'row-of-buttons');
  acts.append(button('btn-quiet', '▶ Play', () => hear(take, 0), `Play ${take.name}`));
  acts.append(
    take.kept
      ? element('span', 'pill sea', 'kept')
      : button('btn btn-plain', 'Keep', () => keep(take, false), `Keep ${take.name}`),
  );
  acts.append(element('span', 'soft', `${take.seconds.toFixed(1)} s · ${take.when}`));
  card.append(acts);
  return card;
}

async function leave(take, finding, line) {
  const form = formOf({ kind: finding.kind.toUpperCase(), start: finding.start });
  if (await outcome(ask('POST', `/projects/${project}/listen/takes/${take.id}/dismiss`, form))) line.remove();
}

async function hear(take, from) {
  heard = take.id;
  transport.halt();
  const box = page('takes').querySelector(`[data-take="${take.id}"] .waves`);
  const follow = () => {
    const now = player.position();
    light(box, now);
    if (now !== null) requestAnimationFrame(follow);
  };
  try {
    const played = player.play(take.sound, from);
    setTimeout(follow, 60);
    await played;
  } catch (error) {
    say(error.message);
  }
  light(box, null);
}

async function keep(take, on) {
  if (!(await outcome(ask('POST', `/projects/${project}/listen/takes/${take.id}/keep`, new FormData())))) return;
  if (on && place() + 1 < rows.length) {
    await list();
    go(1);
  } else {
    await open(wanted);
    await list();
  }
}

/** The newest recording is what the key keeps. */
const latest = () => takes.find(take => take.recorded);

const voice = recorder(project, {
  cue: () => sheet,
  begins: () => {
    player.stop();
    transport.halt();
  },
  taken: async (cue, take) => {
    heard = take;
    if (wanted === cue) await open(cue);
    await list();
  },
});

const showCleaning = cleaner(project, {
  take: () => takes.find(one => one.recorded && one.id === heard) ?? latest(),
  done: async take => {
    heard = take;
    await open(wanted);
    await list();
  },
});

/** Before and after cleaning, at the same word. */
function beforeAfter() {
  const now = takes.find(take => take.id === heard);
  const clean = now?.cleaned ? now : takes.find(take => take.cleaned);
  const raw = takes.find(take => take.recorded && !take.cleaned);
  if (!clean || !raw) return false;
  const at = player.position() ?? 0;
  const other = now?.cleaned ? raw : clean;
  Promise.all([scoreOf(now.score), scoreOf(other.score)]).then(([here, there]) => {
    const index = Math.max(0, here.words.filter(word => word.from <= at).length - 1);
    hear(other, Math.max(0, (there.words[index]?.from ?? 0) + at - (here.words[index]?.from ?? 0)));
  });
  return true;
}

// --- another voice

['timing', 'melody'].forEach(name =>
  page(name).addEventListener('input', () => {
    page(`${name}-out`).textContent = `${page(name).value} %`;
  }),
);
page('recast').addEventListener('submit', async event => {
  event.preventDefault();
  const take =
    takes.find(one => one.recorded && one.id === heard) ?? takes.find(one => one.recorded && one.kept) ?? latest();
  if (!take) return;
  const form = new FormData(page('recast'));
  form.append('ownPitch', String(page('ownpitch').checked));
  const done = await outcome(ask('POST', `/projects/${project}/record/takes/${take.id}/recast`, form));
  coming = done ? sheet.id : null;
  await open(wanted);
});
page('byvoice').addEventListener('click', async () => {
  await outcome(ask('POST', `/projects/${project}/record/cues/${sheet.id}/voice`, new FormData()));
  await open(wanted);
  list();
});

alike(project, () => sheet?.role);

// --- files

const files = filesOf(project, {
  rows: () => rows,
  role,
  done: id => {
    list();
    if (id === null || id === sheet?.id) {
      if (sheet) open(wanted);
    }
  },
});
page('files').addEventListener('change', async () => {
  await files.bring(page('files').files);
  page('files').value = '';
});
['dragover', 'drop'].forEach(kind =>
  document.addEventListener(kind, event => {
    if (![...(event.dataTransfer?.types ?? [])].includes('Files')) return;
    event.preventDefault();
    if (kind === 'drop') files.bring(event.dataTransfer.files);
  }),
);

// --- the page

page('role').addEventListener('change', () => {
  sheet = null;
  history.replaceState(null, '', `/projects/${project}/record`);
  list();
});
let due = null;
document.addEventListener('logophon:programme', () => {
  clearTimeout(due);
  due = setTimeout(async () => {
    await list();
    if (sheet && voice.idle() && !player.isPlaying()) open(wanted);
  }, 200);
});

const table = [
  {
    keys: ['R'],
    what: 'Record, and stop',
    group: 'Say it',
    act: () => {
      if (voice.idle()) voice.start();
      else voice.stop();
    },
  },
  {
    keys: ['A'],
    what: 'Say it again',
    group: 'Say it',
    act: () => {
      if (voice.idle()) voice.start();
      else voice.stop().then(voice.start);
    },
  },
  {
    keys: ['Escape'],
    what: 'Stop',
    group: 'Say it',
    act: () => {
      if (voice.idle()) player.stop();
      else voice.stop();
      return true;
    },
  },
  {
    keys: ['Space'],
    what: 'Hear the last one, or stop',
    group: 'Hear it',
    act: () => {
      if (player.isPlaying()) {
        player.stop();
        return true;
      }
      const take = takes.find(one => one.id === heard);
      if (!take) return false;
      hear(take, 0);
      return true;
    },
  },
  { keys: ['B'], what: 'Before and after cleaning, at the same word', group: 'Hear it', act: () => beforeAfter() },
  {
    keys: ['Enter'],
    what: 'Keep the last one, and go to the next cue',
    group: 'Go on',
    act: event => {
      if (event.target.closest('button, a, select, summary')) return false;
      if (latest()) keep(latest(), true);
      else go(1);
      return true;
    },
  },
  { keys: ['['], what: 'The cue before', group: 'Go on', act: () => go(-1) },
  { keys: [']'], what: 'The next cue', group: 'Go on', act: () => go(1) },
  { keys: ['?'], what: 'All keys', group: 'Go on', act: () => page('keys').showModal() },
];
bind(table);
explain(page('keys'), table);
page('show-keys').addEventListener('click', () => page('keys').showModal());

page('role').value = new URLSearchParams(location.search).get('role') ?? '';
await transport.refresh();
await list();
voice.leftover();
files.look();
