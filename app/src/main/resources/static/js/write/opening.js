// Opening documents: dropped or chosen, shown as what they would become, then taken.

import { element, say } from '../app.js';
import { ask, outcome } from '../ask.js';
import { counted } from '../counted.js';
import { area, change, project, take } from './script.js';

const dialog = document.getElementById('opening');
const chooser = document.getElementById('files');
const shown = document.getElementById('opened');
const buttons = [...dialog.querySelectorAll('[data-how]')];
const MOST_BYTES = Number(dialog.dataset.mostBytes);
let files = [];

function form(fields = {}) {
  const made = new FormData();
  files.forEach(file => made.append('files', file, file.name));
  shown
    .querySelectorAll('select[data-field]')
    .forEach(select => made.append(`column-${select.dataset.field}`, select.value));
  Object.entries(fields).forEach(([name, value]) => made.append(name, value));
  return made;
}

async function preview() {
  const large = files.find(file => file.size > MOST_BYTES);
  buttons.forEach(button => {
    button.disabled = true;
  });
  if (!files.length) {
    shown.replaceChildren();
    return;
  }
  if (large) {
    shown.replaceChildren(
      bad(large.name, `${large.name} is over ${MOST_BYTES >> 20} MB. Remove the pictures, or save it as text.`),
    );
    return;
  }
  const found = await outcome(ask('POST', `/projects/${project}/open/preview`, form()), sentence =>
    shown.replaceChildren(bad('', sentence)),
  );
  if (!found) return;
  shown.replaceChildren(...found.map(card));
  const usable = found.every(file => !file.problem);
  buttons.forEach(button => {
    button.disabled = !usable;
  });
  const written = area.text().trim() !== '';
  buttons[0].textContent = written ? 'Replace the script' : 'Open';
  buttons[1].hidden = !written;
}

function bad(name, sentence) {
  const box = element('div', 'opened bad');
  box.append(element('b', '', name), element('p', '', sentence));
  return box;
}

function card(file) {
  if (file.problem) return bad(file.name, file.problem);
  const box = element('div', 'opened');
  box.append(
    element('b', '', file.name),
    element(
      'span',
      'soft',
      [
        ` ${file.format}`,
        counted(file.cues, 'cue'),
        counted(file.words, 'word'),
        file.roles.join(', '),
        ...(file.slots ? ['times become slots'] : []),
        ...(file.numbers ? ['its own numbers'] : []),
        ...(file.marks ? [counted(file.marks, 'mark')] : []),
      ].join(' · '),
    ),
  );
  if (file.columns.length) box.append(columns(file));
  if (file.skipped.length) {
    const list = element('ul');
    file.skipped.forEach(sentence => list.append(element('li', '', sentence)));
    box.append(list);
  }
  const start = element('pre', '', file.start);
  start.tabIndex = 0;
  box.append(start);
  return box;
}

/** Which column is taken as what, to be changed before anything is taken. */
function columns(file) {
  const row = element('div', 'columns');
  for (const field of ['text', 'role', 'number', 'in', 'out']) {
    const label = element('label', '', `${field} `);
    const select = element('select', 'form-select');
    select.dataset.field = field;
    const nothing = element('option', '', '–');
    nothing.value = '';
    if (field !== 'text') select.append(nothing);
    file.columns.forEach(column => {
      const option = element('option', '', column.header || `column ${column.index + 1}`);
      option.value = column.index;
      option.selected = column.takenAs === field;
      select.append(option);
    });
    select.addEventListener('change', preview);
    label.append(select);
    row.append(label);
  }
  return row;
}

function begin(chosen) {
  files = [...chosen];
  shown.replaceChildren();
  if (!dialog.open) dialog.showModal();
  preview();
}

document.getElementById('open-files').addEventListener('click', () => {
  chooser.value = '';
  begin([]);
});
chooser.addEventListener('change', () => begin(chooser.files));
buttons.forEach(button =>
  button.addEventListener('click', async () => {
    const body = await change(`/projects/${project}/open`, {}, version => form({ how: button.dataset.how, version }));
    if (!body) return;
    dialog.close();
    if (body.address) {
      location.assign(body.address);
      return;
    }
    take(body);
    say('Opened. Undo restores the script from before.');
    area.focus();
  }),
);

document.addEventListener('dragover', event => {
  if ([...event.dataTransfer.types].includes('Files')) event.preventDefault();
});
document.addEventListener('drop', event => {
  if (!event.dataTransfer.files.length) return;
  event.preventDefault();
  begin(event.dataTransfer.files);
});
document.addEventListener('keydown', event => {
  if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'o') {
    event.preventDefault();
    chooser.value = '';
    begin([]);
  }
});
