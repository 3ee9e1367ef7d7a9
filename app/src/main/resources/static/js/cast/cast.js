// The Cast page: the list of voices, the line that they say, and giving one to a role.

import { isRenewing, renew, say, typing } from '../app.js';
import { ask, askPriced, formOf, glance, outcome } from '../ask.js';
import { tieDials } from '../dials.js';
import { quoted } from '../quoted.js';
import { voices } from './address.js';
import * as beside from './beside.js';
import { cast as give } from '../casting.js';
import * as transport from '../transport.js';
import * as house from './house.js';
import { label, wander } from './voicemap.js';

const stage = () => document.getElementById('stage');
const rows = () => [...document.querySelectorAll('#voices tr[data-voice]')];
const noting = document.getElementById('noting');
let current = null;
let line = { cue: '', words: '' };
let wantedVoice = null;

/** What to ask of the server for a voice to say the chosen line. */
const asked = voice => ({
  address: `/projects/${stage().dataset.project}/cast/audition`,
  fields: {
    role: stage().dataset.role,
    voice,
    ...(line.words ? { line: line.words } : line.cue ? { cue: line.cue } : {}),
  },
});

// how often more is asked for again, when the stage was drawn anew before it came
const MOST_TRIES = 5;

/** More of the list, up to a voice that isn't shown yet: all of them come by and by, as the list is looked at. */
async function more(upTo = '') {
  const before = rows().length;
  const isThere = () => (upTo ? rowOf(upTo) !== undefined : rows().length > before);
  for (let tries = 0; tries < MOST_TRIES && !isThere(); tries++) {
    const rest = document.querySelector('#voices .more');
    if (!rest) return;
    await htmx.ajax('GET', `${rest.getAttribute('hx-get')}&${new URLSearchParams({ upTo })}`, {
      source: rest,
      target: rest,
      swap: 'outerHTML',
    });
  }
}

/** The stage as it is now, with as many voices as are looked at. */
const again = () =>
  renew('#stage', () => {
    // filters may be set meanwhile, and more voices have come
    const wanted = new URL(location.href);
    wanted.searchParams.set('shown', rows().length);
    return wanted.href;
  });

/** @param agrees whether hearing it again agrees to the price that it had the first time: not while arrows pass by */
async function hear(voice, agrees = true) {
  current = voice;
  if (!rowOf(voice)) await more(voice);
  mark();
  const before = beside.played();
  const made = await beside.audition(asked(voice), { agrees });
  const price = rowOf(voice)?.querySelector('.price');
  if (made && price) price.textContent = made.price ? `this line: ${made.price}` : '';
  if (!made || made.price || current !== voice || beside.played() !== before) return;
  const next = rows()[rows().findIndex(row => row.dataset.voice === voice) + 1];
  // the one below is likely to be next: made while this one speaks
  if (next) beside.audition(asked(next.dataset.voice), { agrees: false, quiet: true });
  await beside.play(made);
  mark();
}

function mark() {
  // an answer that brings the stage anew brings as many
  document.getElementById('shown')?.setAttribute('value', rows().length);
  rows().forEach(row => {
    const now = row.dataset.voice === current;
    row.classList.toggle('now', now);
    row.querySelectorAll('button').forEach(button => {
      button.tabIndex = now || (!current && row === rows()[0]) ? 0 : -1;
    });
  });
  if (current && !rows().some(row => row.dataset.voice === current))
    rows()[0]
      ?.querySelectorAll('button')
      .forEach(button => {
        button.tabIndex = 0;
      });
  rows()
    .filter(row => beside.has(row.dataset.voice))
    .forEach(row => {
      row.querySelector('.price').textContent = '';
    });
  const map = document.getElementById('map');
  const castNow = document.querySelector('#voices .castnow');
  const named = beside.letters().map(({ voice }) => ({ voice, name: nameOf(voice) }));
  if (current && !named.some(n => n.voice === current)) named.push({ voice: current, name: nameOf(current) });
  if (castNow && !named.some(n => n.voice === castNow.dataset.voice))
    named.push({ voice: castNow.dataset.voice, name: castNow.dataset.name });
  if (map)
    label(
      map,
      named.map(n => ({ ...n, now: n.voice === current })),
      beside.letters(),
    );
}

const rowOf = voice => rows().find(row => row.dataset.voice === voice);
const nameOf = voice => rowOf(voice)?.dataset.name ?? '';

async function step(by) {
  const place = () => rows().findIndex(row => row.dataset.voice === current);
  if (by > 0 && place() === rows().length - 1) await more();
  const all = rows();
  const at = place();
  const next = all[Math.max(0, Math.min(all.length - 1, at < 0 ? 0 : at + by))];
  if (!next || (next.dataset.voice === current && at >= 0)) return;
  next.querySelector('.play').focus();
  next.scrollIntoView({ block: 'nearest' });
  hear(next.dataset.voice, false);
}

async function list(voice) {
  const button = () => rowOf(voice)?.querySelector('.shortlist');
  if (!button()) return;
  const on = button().getAttribute('aria-pressed') !== 'true';
  await ask('POST', `${voices()}/${voice}/shortlist`, formOf({ on }));
  button()?.setAttribute('aria-pressed', on);
  button()?.replaceChildren(on ? '● Shortlisted' : 'Shortlist');
  // what is on its way may have been asked for before
  if (isRenewing('#stage')) again();
  document.querySelector(`.dot[data-voice="${voice}"]`)?.classList.toggle('listed', on);
  say(on ? `${nameOf(voice)} is on the shortlist.` : `${nameOf(voice)} is off the shortlist.`);
}

async function measure(voice) {
  if (await outcome(askPriced(`${voices()}/${voice}/measure`, {}, 'Press again to measure it.'))) again();
}

function note(voice) {
  const row = rowOf(voice);
  if (!row) return;
  wantedVoice = voice;
  document.getElementById('noting-title').textContent = `About ${row.dataset.name}`;
  document.getElementById('note-stars').value = row.dataset.stars;
  document.getElementById('note-text').value = row.dataset.note;
  document.getElementById('note-groups').value = row.dataset.groups;
  noting.showModal();
}

document.getElementById('note-keep')?.addEventListener('click', async () => {
  const written = name => document.getElementById(`note-${name}`).value;
  const about = `${voices()}/${wantedVoice}`;
  await ask('POST', `${about}/note`, formOf({ note: written('text'), groups: written('groups') }));
  await ask('POST', `${about}/stars`, formOf({ stars: written('stars') }));
  noting.close();
  again();
});

async function cast(voice) {
  const { role, project } = stage().dataset;
  if (!(await give(project, role, voice))) return;
  const address = new URL(location.href);
  address.searchParams.set('role', role);
  if (!address.searchParams.has('language'))
    document.querySelectorAll('#filters select').forEach(select => address.searchParams.set(select.name, select.value));
  history.replaceState(null, '', address);
  again();
  renew('#head', `/projects/${project}/render?step=CAST`);
  transport.refresh();
}

house.begin(asked, again);
beside.onCast(cast);
beside.onChange(mark);

function chooseLine() {
  const select = document.getElementById('line');
  const own = document.getElementById('own');
  if (!select) return;
  if (line.cue && [...select.options].some(option => option.value === line.cue)) select.value = line.cue;
  own.value = line.words;
  const typed = !select.value;
  own.hidden = !typed;
  document.getElementById('said').textContent =
    typed && line.words
      ? quoted(line.words)
      : select.selectedOptions[0]?.value
        ? quoted(select.selectedOptions[0].dataset.text)
        : '';
}

// which voice the keyboard is at, so that a stage that comes doesn't take it away
let held = null;
// how far its columns are scrolled, of the same role
let scrolled = null;
const COLUMNS = ['.who', '.find', '.beside'];
document.addEventListener('htmx:beforeSwap', event => {
  if (event.detail.target?.id !== 'stage') return;
  // another answer took its place: this one goes nowhere, and what it was asked for is asked for anew
  if (!event.detail.target.isConnected) {
    setTimeout(() => again());
    return;
  }
  const { role } = stage().dataset;
  scrolled = { role, tops: COLUMNS.map(column => document.querySelector(column)?.scrollTop ?? 0) };
  const at = document.activeElement?.closest('[data-voice]');
  if (at)
    held = {
      place: `${at.tagName === 'TR' ? '#voices tr' : '.dot'}[data-voice="${at.dataset.voice}"]`,
      part:
        document.activeElement === at
          ? ''
          : ` .${document.activeElement.classList[document.activeElement.classList.length - 1]}`,
    };
});

/**
 * What the stage before showed, and whether its dials stood open.
 * @type {{role?: string, direction?: string, open?: boolean}}
 */
const shown = {};

/** A stage that came, with the first page or after a change. */
function enter() {
  const now = stage();
  if (!now) return;
  document.querySelector('.beside')?.setAttribute('class', `beside role-${now.dataset.colour}`);
  if (now.dataset.role !== shown.role) line = { cue: '', words: '' };
  const direction = now.querySelector('[name=version]')?.value;
  const other = shown.role !== undefined && (now.dataset.role !== shown.role || direction !== shown.direction);
  shown.role = now.dataset.role;
  shown.direction = direction;
  wander(document.getElementById('map'), hear);
  chooseLine();
  const dials = document.getElementById('roledials');
  dials.open = shown.open ?? false;
  tieDials(now);
  dials.addEventListener('toggle', () => {
    shown.open = dials.open;
  });
  if (other) beside.again(asked);
  else mark();
  if (scrolled?.role === now.dataset.role)
    COLUMNS.forEach((column, i) => document.querySelector(column)?.scrollTo(0, scrolled.tops[i]));
  scrolled = null;
  if (held && document.activeElement === document.body) now.querySelector(held.place + held.part)?.focus();
  held = null;
}

document.addEventListener('click', event => {
  const row = event.target.closest('#voices tr[data-voice]');
  if (!row) return;
  const { voice } = row.dataset;
  const button = event.target.closest('button');
  if (button?.classList.contains('compare')) beside.toggle(voice, asked);
  else if (button?.classList.contains('shortlist')) list(voice);
  else if (button?.classList.contains('note')) note(voice);
  else if (button?.classList.contains('tune')) house.openRow(row);
  else if (button?.classList.contains('measure')) measure(voice);
  else hear(voice);
});

document.addEventListener('change', event => {
  if (event.target.id !== 'line') return;
  line = { cue: event.target.value, words: '' };
  chooseLine();
  if (!event.target.value) document.getElementById('own').focus();
  else beside.again(asked);
});

document.addEventListener('keydown', event => {
  if (event.target.id === 'own' && event.key === 'Enter') {
    event.preventDefault();
    line = { cue: '', words: event.target.value.trim() };
    chooseLine();
    beside.again(asked);
    if (current) hear(current);
    return;
  }
  if (event.ctrlKey || event.altKey || event.metaKey || typing(event.target) || event.target.closest('dialog')) return;
  const digit = Number(event.key);
  if (digit >= 1 && digit <= 6) {
    beside.switchTo(digit - 1);
    return;
  }
  const inList = event.target.closest('#voices') !== null || event.target === document.body;
  const act = { ArrowDown: () => step(1), ArrowUp: () => step(-1) }[event.key];
  if (act && inList) {
    event.preventDefault();
    act();
    return;
  }
  const voice = event.target.closest?.('[data-voice]')?.dataset.voice ?? current;
  const other =
    voice &&
    {
      c: () => beside.toggle(voice, asked),
      l: () => list(voice),
      n: () => note(voice),
      h: () => house.openRow(rowOf(voice)),
    }[event.key.toLowerCase()];
  if (other) {
    event.preventDefault();
    other();
  }
  if (event.key === 'Enter' && voice && event.target.matches('.play, body')) {
    event.preventDefault();
    cast(voice);
  }
});

document.addEventListener('htmx:afterSettle', event => {
  if (event.detail.target?.id === 'stage' || event.detail.elt?.id === 'stage') enter();
  else if (event.detail.elt?.closest?.('#voices')) mark();
});

/** Another window cast or directed a role, or the house has other voices: the stage follows, but not under the hand. */
document.addEventListener('logophon:changed', event => {
  if (!event.detail.kinds.some(kind => ['content', 'house'].includes(kind)) || !stage()) return;
  const busy =
    document.querySelector('dialog[open]') ||
    (stage().contains(document.activeElement) && typing(document.activeElement));
  if (!busy) again();
});

// voices that must be fetched first: that takes seconds to minutes, and whatever comes of it is said
document.addEventListener('click', async event => {
  const button = event.target.closest('[data-get]');
  if (!button) return;
  button.disabled = true;
  button.textContent = 'Downloading…';
  if (await outcome(ask('POST', `${voices()}/get`, formOf({ language: button.dataset.get })))) {
    again();
    return;
  }
  button.disabled = false;
  button.textContent = 'Try again';
});

const MEASURED_AGAIN_MS = 2000;
async function follow() {
  const pill = document.getElementById('measuring');
  if (!pill) return;
  const now = await glance(ask('GET', `/projects/${stage().dataset.project}/cast/measured`));
  const still = document.getElementById('measuring');
  if (now && still) {
    if (now.done >= now.total) {
      await again();
      return;
    }
    still.textContent = `measuring voices, ${now.done} of ${now.total}`;
  }
  setTimeout(follow, MEASURED_AGAIN_MS);
}

enter();
follow();
