// House voices: a base voice, tuned, named and kept; and voices found from a plain description.

import { button, element, say } from '../app.js';
import { ask, formOf, outcome } from '../ask.js';
import { voices } from './address.js';
import * as beside from './beside.js';

const tuning = document.getElementById('tuning');
const describing = document.getElementById('describing');
const field = name => document.getElementById(`tune-${name}`);
const FIELDS = ['pace', 'pitch', 'range', 'timbre', 'effect', 'mix'];
const NEUTRAL = { pace: 100, pitch: 0, range: 100, timbre: 0, effect: '', mix: '' };
let wanted = null;
let asked = null;
let again = null;

/**
 * @param line    what to ask of the server for a voice to say the chosen line
 * @param changed called when the house has other voices
 */
export function begin(line, changed) {
  asked = line;
  again = changed;
}

/** A tuning under the names that the server knows. */
const named = value =>
  Object.fromEntries(FIELDS.map(name => [`tune${name[0].toUpperCase()}${name.slice(1)}`, value(name)]));
const values = () => named(name => field(name).value);

/**
 * Opens the dialog for a voice.
 *
 * @param voice  id of the base, or of a house voice that is changed
 * @param preset name, description and tuning to begin with
 */
export function open(voice, name, preset = {}) {
  wanted = { voice, house: preset.house === true };
  document.getElementById('tuning-title').textContent = wanted.house ? `Adjust ${name}` : `House voice from ${name}`;
  field('name').value = wanted.house ? name : '';
  field('description').value = preset.description ?? '';
  FIELDS.forEach(key => {
    field(key).value = preset.tuning?.[key] ?? NEUTRAL[key];
  });
  field('remove').hidden = !wanted.house;
  flags();
  if (!tuning.open) tuning.showModal();
  field('name').focus();
}

/** The row of a house voice says how it is tuned. */
export function openRow(row) {
  const { voice, name, house } = row.dataset;
  const [pace, pitch, range, timbre, effect, mix] = row.dataset.tuning.split(' ');
  open(voice, name, {
    house: house !== undefined,
    description: row.dataset.about,
    tuning: {
      pace,
      pitch: Number(pitch),
      range,
      timbre: Number(timbre),
      effect: effect === '-' ? '' : effect.replace('_', ' '),
      mix: effect === '-' ? '' : mix,
    },
  });
}

async function flags() {
  const found = await outcome(ask('GET', `${voices()}/flags?${new URLSearchParams(values())}`), tell);
  if (found) tell(found.join(' '));
}

const tell = sentence => {
  field('flags').textContent = sentence;
};

async function hearTuned(voice, tuned) {
  const line = asked(voice);
  const made = await beside.audition({ ...line, fields: { ...line.fields, tuned: true, ...tuned } });
  if (made?.price) {
    // the foot of the page lies behind the dialog
    (tuning.open ? field('flags') : document.getElementById('describe-said')).textContent =
      `${made.sentence} Press again to hear it.`;
  } else if (made) {
    await beside.play(made);
  }
}

async function keep() {
  const fields = {
    name: field('name').value,
    description: field('description').value,
    base: wanted.voice,
    ...values(),
  };
  const where = wanted.house ? `${voices()}/${wanted.voice}/house` : `${voices()}/house`;
  const made = await outcome(ask('POST', where, formOf(fields)), tell);
  if (!made) return;
  tuning.close();
  describing.close();
  say(`${made.name} is saved.`);
  again();
}

async function remove() {
  if (!(await outcome(ask('POST', `${voices()}/${wanted.voice}/remove`, new FormData()), tell))) return;
  tuning.close();
  say('Removed.');
  again();
}

async function describe() {
  const words = document.getElementById('describe-words').value.trim();
  const said = document.getElementById('describe-said');
  if (!words) return;
  const { project } = document.getElementById('stage').dataset;
  said.textContent = '';
  const found = await outcome(
    ask('GET', `/projects/${project}/cast/described?${new URLSearchParams({ words })}`),
    sentence => {
      said.textContent = sentence;
    },
  );
  document.getElementById('proposals').replaceChildren(
    ...(found?.candidates ?? []).map(candidate => {
      const item = element('li', 'candidate');
      const tuned = named(name => candidate.tuning[name]);
      const row = element('div', 'row-of-buttons');
      row.append(
        button(
          'btn btn-plain',
          '▶ Play sample',
          () => hearTuned(candidate.voice, tuned),
          `Play ${candidate.name} as adjusted`,
        ),
        button(
          'btn btn-sea',
          'Save…',
          () => open(candidate.voice, candidate.name, { description: words, tuning: candidate.tuning }),
          `Save ${candidate.name} as adjusted, as a house voice`,
        ),
      );
      item.append(element('b', 'reading', candidate.name), element('p', 'soft', candidate.reasons.join(' · ')), row);
      return item;
    }),
  );
}

FIELDS.forEach(name => field(name)?.addEventListener('change', flags));
field('hear')?.addEventListener('click', () => hearTuned(wanted.voice, values()));
field('keep')?.addEventListener('click', keep);
field('remove')?.addEventListener('click', remove);
document.getElementById('describe-words')?.addEventListener('keydown', event => {
  if (event.key === 'Enter') {
    event.preventDefault();
    describe();
  }
});
document.addEventListener('click', event => {
  if (!event.target.closest('#describe')) return;
  describing.showModal();
  document.getElementById('describe-words').focus();
});
