// How the script falls into cues: the way, the numbers, cuts by hand, undo and redo.

import { element } from '../app.js';
import { ask, outcome } from '../ask.js';
import { counted } from '../counted.js';
import { area, onChange, project, reshape, script } from './script.js';

const byId = id => document.getElementById(id);
const TITLES = Object.fromEntries([...byId('way').options].map(option => [option.value, option.textContent]));
/** What the chosen way of splitting is told of: least, usual and most size, for ways that have one. */
const sizes = () => byId('way').selectedOptions[0].dataset;
const dialog = byId('splitting');
const numbering = byId('numbering');

onChange(state => {
  if (!state) return;
  const [way, limit] = state.splitting.split(':');
  byId('splitting-now').textContent = limit ? `${limit} ${way}` : TITLES[way];
  byId('numbers-now').textContent = state.frozen ? `fixed, ${state.cues[0]?.number ?? ''}…` : state.numbers;
  byId('undo').disabled = !state.undo;
  byId('redo').disabled = !state.redo;
});

let previews = 0;
async function preview() {
  // of several asked for at once the newest is shown, in whatever order their answers come
  const turn = (previews += 1);
  const way = byId('way').value;
  const { least, most } = sizes();
  const sized = most !== undefined;
  byId('limit-of').hidden = !sized;
  if (sized) Object.assign(byId('limit'), { min: least, max: most });
  const limit = sized ? byId('limit').value || 0 : 0;
  let told = '';
  const split = await outcome(
    ask('GET', `/projects/${project}/script/split?way=${way}&limit=${limit}`),
    sentence => {
      told = sentence;
    },
  );
  if (turn !== previews) return;
  byId('split-take').disabled = !split;
  byId('split-preview').textContent = !split
    ? told
    : `${counted(split.cues, 'cue')}, the longest about ${split.longest}.${split.forced.length
        ? ` ${split.forced.length} end inside a sentence that is over the size.` : ''}`;
  byId('split-lines').replaceChildren(
    ...(split?.lines ?? []).map(line => {
      const row = element('li');
      row.append(element('span', '', line.start), element('span', 'figures', line.seconds));
      return row;
    }),
  );
}

byId('open-splitting').addEventListener('click', () => {
  const [way, limit] = (script.state?.splitting ?? 'blank-line').split(':');
  byId('way').value = way;
  if (limit) byId('limit').value = limit;
  dialog.showModal();
  preview();
});
byId('way').addEventListener('change', () => {
  byId('limit').value = sizes().usual ?? byId('limit').value;
  preview();
});
byId('limit').addEventListener('input', preview);
byId('split-take').addEventListener('click', async () => {
  const way = byId('way').value;
  if (await reshape('split', { way, limit: sizes().most !== undefined ? byId('limit').value : 0 })) dialog.close();
});

const numberFields = () =>
  Object.fromEntries(['start', 'step', 'width', 'prefix'].map(name => [name, byId(`number-${name}`).value]));
function numberPreview() {
  const { start, step, width, prefix } = numberFields();
  byId('numbers-preview').textContent = [0, 1, 2]
    .map(i => prefix + String(Number(start) + i * Number(step)).padStart(Number(width), '0'))
    .join(', ');
}
byId('open-numbers').addEventListener('click', () => {
  byId('numbers-frozen').hidden = !script.state?.frozen;
  numberPreview();
  numbering.showModal();
});
numbering.addEventListener('input', numberPreview);
byId('numbers-take').addEventListener('click', async () => {
  if (await reshape('numbers', numberFields())) numbering.close();
});

const splitHere = () => reshape('cut', { place: area.caret() });
const joinUp = () => reshape('join', { place: area.caret() });
byId('split-here').addEventListener('click', async () => {
  await splitHere();
  area.focus();
});
byId('join-up').addEventListener('click', async () => {
  await joinUp();
  area.focus();
});
byId('undo').addEventListener('click', () => reshape('undo', {}));
byId('redo').addEventListener('click', () => reshape('redo', {}));

area.dom.addEventListener('keydown', event => {
  if (!(event.ctrlKey || event.metaKey)) return;
  const key = event.key.toLowerCase();
  const act =
    key === 'enter'
      ? event.shiftKey
        ? joinUp
        : splitHere
      : key === 'z'
        ? () => reshape(event.shiftKey ? 'redo' : 'undo', {})
        : key === 'y'
          ? () => reshape('redo', {})
          : null;
  if (!act) return;
  event.preventDefault();
  act();
});

// what a big change did to the cues, with what can be brought back
const report = byId('report');
const numbers = list =>
  list.length > 4 ? `${list.slice(0, 4).join(', ')} and ${list.length - 4} more` : list.join(', ');
onChange(state => {
  const change = state?.report;
  if (!change) return;
  const big = change.gone.length > 0 || change.lost.length > 0 || change.added.length + change.changed.length > 3;
  report.hidden = !big;
  if (!big) return;
  const parts = [`${change.kept} kept`];
  if (change.changed.length) parts.push(`${change.changed.length} changed (${numbers(change.changed)})`);
  if (change.added.length) parts.push(`${change.added.length} new (${numbers(change.added)})`);
  if (change.gone.length) parts.push(`${change.gone.length} gone (${numbers(change.gone.map(g => g.number))})`);
  if (change.lost.length) parts.push(`readings of single places removed: ${numbers(change.lost)}`);
  report.querySelector('.sentence').textContent = `Cues: ${parts.join(', ')}.`;
  report.querySelector('.acts').replaceChildren(
    ...change.gone.slice(0, 3).map(gone => {
      const back = element('button', 'btn btn-plain', `Restore ${gone.number}`);
      back.type = 'button';
      back.title = gone.text.slice(0, 200);
      back.addEventListener('click', () => reshape(`gone/${gone.id}`, {}));
      return back;
    }),
  );
});
byId('report-close').addEventListener('click', () => {
  report.hidden = true;
  area.focus();
});
