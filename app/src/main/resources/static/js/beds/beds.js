// The page of sounds and beds: what lies where under the programme, and the lists that it is taken from.

import { button, element, say } from '../app.js';
import { ask, formOf, outcome } from '../ask.js';
import * as transport from '../transport.js';
import { drawOverview } from './overview.js';
import { soundLists } from './sounds.js';

const project = document.querySelector('.transport').dataset.project;
const address = `/projects/${project}/beds`;
const page = name => document.getElementById(name);
let table = { sounds: [], beds: [], gaps: [] };

// what is typed and not sent yet stays on the page, whatever comes from elsewhere
const isTyped = () => {
  const field = document.activeElement;
  return field?.dataset?.was !== undefined && field.value !== field.dataset.was;
};

async function post(where, fields = {}) {
  const done = await outcome(ask('POST', where, formOf(fields)));
  await read();
  return done;
}

/** What is undone by sending what was there before. */
function offerBack(words, act) {
  const back = button('btn-quiet', words, () => {
    act();
    back.remove();
  });
  page('beds-back').replaceChildren(back);
}

// --- what there is

let reading = 0;
async function read() {
  const mine = ++reading;
  const now = await ask('GET', `${address}/list`);
  // of several on their way, the one that was asked for last is the newest
  if (mine !== reading || isTyped()) return;
  const typed = document.activeElement?.dataset?.field;
  table = now;
  lists.show(table.sounds);
  page('bedlist').replaceChildren(...table.beds.map(bedRow));
  page('no-beds').hidden = table.beds.length > 0;
  page('gaplist').replaceChildren(...table.gaps.map(gapRow));
  page('no-gaps').hidden = table.gaps.length > 0;
  for (const select of [page('bed-sound'), page('gap-sound')]) fillSounds(select, select.value);
  // who types on stays where they are
  if (typed) document.querySelector(`[data-field="${CSS.escape(typed)}"]`)?.focus();
  overview();
}

const overview = () => drawOverview(page('overview'), transport.all(), table.beds, table.gaps);

function fillSounds(select, chosen, value = sound => sound.id) {
  select.replaceChildren(
    ...table.sounds.map(sound => new Option(sound.name, value(sound), false, value(sound) === chosen)),
  );
}

function field(bed, name, label, value, unit, more = {}) {
  const input = element('input', 'form-control figures');
  Object.assign(input, { value, ...more });
  input.dataset.field = `${bed.id} ${name}`;
  input.dataset.was = input.value;
  input.addEventListener('change', () => {
    input.dataset.was = input.value;
    change(bed, name, input.value.replace('−', '-').replace(',', '.'), value);
  });
  const wrapped = element('label', '', label);
  wrapped.append(input, element('span', 'unit', unit));
  return wrapped;
}

async function change(bed, name, value, before) {
  const done = await post(`${address}/${bed.id}`, { [name]: value });
  if (done) offerBack('Undo the last change of a bed', () => post(`${address}/${bed.id}`, { [name]: before }));
}

const number = (least, most, step) => ({ type: 'number', min: least, max: most, step });

function bedRow(bed) {
  const row = element('li', 'bedrow');
  const sound = element('select', 'form-select');
  sound.setAttribute('aria-label', 'Sound of the bed');
  sound.dataset.field = `${bed.id} sound`;
  fillSounds(sound, bed.sound);
  sound.addEventListener('change', () => change(bed, 'sound', sound.value, bed.sound));
  const looped = element('label', 'tick');
  const tick = element('input', '');
  Object.assign(tick, { type: 'checkbox', checked: bed.looped });
  tick.dataset.field = `${bed.id} looped`;
  tick.addEventListener('change', () => change(bed, 'looped', tick.checked, bed.looped));
  looped.append(tick, ' Loop');
  const places = element('div', 'fields');
  places.append(
    sound,
    field(bed, 'from', 'From cue', bed.from, '', { type: 'text', size: 5, placeholder: 'start' }),
    field(bed, 'to', 'To cue', bed.to, '', { type: 'text', size: 5, placeholder: 'end' }),
    looped,
  );
  const levels = element('div', 'fields');
  levels.append(
    field(bed, 'level', 'Level under voice', bed.level, 'dB', number(-60, 6, 1)),
    field(bed, 'rise', 'Raise in gaps', bed.rise, 'dB', number(0, 30, 1)),
    field(bed, 'fadeIn', 'Fade in', bed.fadeIn, 's', number(0, 60, 0.1)),
    field(bed, 'fadeOut', 'Fade out', bed.fadeOut, 's', number(0, 60, 0.1)),
  );
  const acts = element('div', 'acts');
  acts.append(
    button('btn btn-plain', 'Play', () => playFrom(bed), `Play from the start of ${bed.name}`),
    button('btn-quiet danger', 'Remove', () => removeBed(bed), `Remove the bed ${bed.name}`),
  );
  row.append(places, levels, acts);
  if (bed.problem) row.append(element('p', 'notice', bed.problem));
  return row;
}

function playFrom(bed) {
  const cue = transport.all().find(one => one.start + one.seconds > bed.start + 0.001);
  transport.halt();
  if (cue) {
    transport.goTo(cue.id);
    transport.playOn();
  }
}

async function removeBed(bed) {
  if (await post(`${address}/${bed.id}/delete`))
    offerBack(`Restore the bed ${bed.name}`, () => post(`${address}/${bed.id}/restore`));
}

// --- sounds in gaps are marks of their cues

const marksOf = cue => `/projects/${project}/cues/${cue}/marks`;

function gapRow(gap) {
  const row = element('li', '');
  const link = element('a', 'figures', gap.number);
  link.href = `/projects/${project}/direct?cue=${gap.cue}`;
  row.append(
    element('b', '', gap.name),
    element('span', '', 'in cue '),
    link,
    element('span', 'reading', `after “${gap.after}”`),
    element('span', 'figures', `${gap.seconds.toFixed(2)} s, ${gap.level < 0 ? '−' : ''}${Math.abs(gap.level)} dB`),
    button(
      'btn-quiet danger',
      'Remove',
      async () => {
        const fields = { start: gap.start, end: gap.end, kind: 'sound' };
        if (await post(`${marksOf(gap.cue)}/remove`, fields)) {
          offerBack(`Restore ${gap.name} in its gap`, () =>
            post(marksOf(gap.cue), { ...fields, value: valueOf(gap.seconds, gap.level, gap.name) }),
          );
        }
      },
      `Remove ${gap.name} after cue ${gap.number}`,
    ),
  );
  if (gap.problem) row.append(element('span', 'amber', gap.problem));
  return row;
}

const valueOf = (seconds, level, name) => `${Math.round(seconds * 1000)} ${level} ${name}`;

/** A button that is pressed twice does it once. */
async function once(form, act) {
  const button = form.querySelector('button');
  button.disabled = true;
  try {
    await act();
  } finally {
    button.disabled = false;
  }
}

page('add-bed').addEventListener('submit', event => {
  event.preventDefault();
  once(event.target, () => layBed(event.target));
});
async function layBed(form) {
  const done = await post(address, { sound: form.sound.value, from: form.from.value, to: form.to.value });
  if (done) {
    form.from.value = '';
    form.to.value = '';
  }
}
page('add-gap').addEventListener('submit', event => {
  event.preventDefault();
  once(event.target, () => putIntoGap(event.target));
});
async function putIntoGap({ cue, sound, seconds, level }) {
  const found = transport.all().find(one => one.number.toLowerCase() === cue.value.trim().toLowerCase());
  if (!found) {
    say(`There is no cue ${cue.value.trim()}. Type a cue’s number.`);
    cue.focus();
    return;
  }
  const { words } = await ask('GET', marksOf(found.id));
  const last = words.at(-1);
  if (!last) {
    say(`Cue ${found.number} has no words, so there is no gap after it.`);
    return;
  }
  const name = sound.selectedOptions[0]?.textContent;
  if (
    await post(marksOf(found.id), {
      start: last[0],
      end: last[1],
      kind: 'sound',
      value: valueOf(seconds.value, level.value, name),
    })
  ) {
    cue.value = '';
    say(`“${name}” sounds after cue ${found.number}.`);
  }
}

const lists = soundLists(page('sounds'), address, read);
document.addEventListener('logophon:programme', overview);
document.addEventListener('logophon:changed', event => {
  if (event.detail.kinds.includes('content') && !isTyped()) read();
});
read();
