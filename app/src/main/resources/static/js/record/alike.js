// A voice of ours that measures like the person who recorded: looked for, compared in figures, and kept as a house
// voice.

import { element, say } from '../app.js';
import { ask, outcome } from '../ask.js';

const part = id => document.getElementById(id);
const DIALS = { pace: 'pace', semitones: 'pitch', range: 'range', timbre: 'timbre' };
const UNITS = { pace: ' %', semitones: ' st', range: ' %', timbre: ' st' };

/** @param project its id @param role whose recordings are measured */
export function alike(project, role) {
  const address = `/projects/${project}/record/likeness`;
  const dialog = part('alike-found');
  let found = [];

  part('alike-go').addEventListener('click', async () => {
    const whose = role();
    if (!whose) return;
    part('alike-go').disabled = true;
    say('Measuring voices on the same words…');
    const measured = await outcome(ask('GET', `${address}?role=${encodeURIComponent(whose)}`));
    part('alike-go').disabled = false;
    if (!measured) return;
    say('');
    found = measured.candidates;
    part('alike-person').textContent = `${whose}, as recorded (${Math.round(measured.seconds)} s): ${measured.person}`;
    part('alike-list').replaceChildren(...found.map((candidate, i) => choice(candidate, i)));
    part('alike-told').hidden = true;
    dialog.showModal();
  });

  function choice(candidate, i) {
    const label = element('label', 'alike');
    const pick = element('input', '');
    Object.assign(pick, { type: 'radio', name: 'choice', value: String(i), checked: i === 0 });
    const told = element('span', '');
    const tuned = Object.entries(DIALS)
      .map(([name, word]) => `${word} ${candidate[name]}${UNITS[name]}`)
      .join(', ')
      .replace(/-/g, '−');
    told.append(
      element('b', '', candidate.name),
      element('span', 'soft', `by itself ${candidate.own}`),
      element('span', '', `tuned (${tuned}): ${candidate.tuned}`),
      element('span', 'soft', `left: ${candidate.left.join(', ')}`),
    );
    candidate.flags.forEach(flag => told.append(element('span', 'amber', flag)));
    label.append(pick, told);
    return label;
  }

  part('alike-form').addEventListener('submit', async event => {
    event.preventDefault();
    const form = new FormData(part('alike-form'));
    const candidate = found[Number(form.get('choice'))];
    form.delete('choice');
    ['base', ...Object.keys(DIALS)].forEach(name => form.append(name, candidate[name]));
    try {
      const { sentence } = await ask('POST', address, form);
      dialog.close();
      say(sentence);
    } catch (refusal) {
      part('alike-told').textContent = refusal.message;
      part('alike-told').hidden = false;
    }
  });
  part('alike-leave').addEventListener('click', () => dialog.close());
}
