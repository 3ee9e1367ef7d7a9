// Recordings that come as files: a file a cue by its number, or one file for many, cut and looked over before it is
// taken.

import { button, element, say } from '../app.js';
import { ask, glance, outcome, send } from '../ask.js';
import { clock } from '../clock.js';
import * as player from '../player.js';

const box = document.getElementById('brought');
const LOOK_MS = 1500;

/** Which cue a file is of, by the number in its name: "030.wav", "030 Keeper.flac", "clip-030-lit-the-lamp.mp3". */
export function cueOf(name, rows) {
  const numbers = name.replace(/\.[^.]*$/, '').match(/\d+[a-z]?/gi) ?? [];
  const plain = number => number.replace(/^0+(?=\d)/, '').toLowerCase();
  return rows.find(row => numbers.some(number => plain(number) === plain(row.number))) ?? null;
}

/**
 * @param project its id
 * @param rows cues that are shown, in order
 * @param role whose they are
 * @param done told when something was taken
 */
export function filesOf(project, { rows, role, done }) {
  const address = `/projects/${project}/record/files`;
  const shown = new Map();
  let looking = null;

  async function bring(files) {
    const matched = [...files].map(file => ({ file, cue: cueOf(file.name, rows()) }));
    if (files.length > 1) {
      const lost = matched.filter(one => !one.cue).map(one => one.file.name);
      if (lost.length) {
        say(
          `No cue is numbered like ${lost.join(', ')}. Put the cue’s number into the file’s name, ` +
          `or import it alone to find its words.`,
        );
      }
      for (const { file, cue } of matched.filter(one => one.cue)) await one(file, cue);
      return;
    }
    const [{ file, cue }] = matched;
    if (cue) await one(file, cue);
    else await many(file);
  }

  async function one(file, cue) {
    say(`Checking ${file.name} against cue ${cue.number}…`);
    const where = `/projects/${project}/record/cues/${cue.id}?name=${encodeURIComponent(file.name)}`;
    if (await outcome(send(where, file))) done(cue.id);
  }

  async function many(file) {
    say(`Importing ${file.name}…`);
    await send(`${address}?name=${encodeURIComponent(file.name)}&role=${encodeURIComponent(role())}`, file);
    say('Finding its words.');
    await look();
  }

  /** Shows what is on its way, and looks again while something works. */
  async function look() {
    clearTimeout(looking);
    const uploads = await glance(ask('GET', address));
    if (!uploads) return;
    const before = new Set(shown.keys());
    uploads.forEach(upload => {
      draw(upload);
      before.delete(upload.id);
    });
    before.forEach(id => {
      const gone = shown.get(id);
      if (gone.dataset.state === 'taking') say(`${gone.getAttribute('aria-label')} is taken, and kept.`);
      gone.remove();
      shown.delete(id);
      done(null);
    });
    if (uploads.some(upload => ['hearing', 'cutting', 'taking'].includes(upload.state)))
      looking = setTimeout(look, LOOK_MS);
  }

  function draw(upload) {
    let card = shown.get(upload.id);
    if (card?.dataset.state === upload.state && upload.state === 'cut') return;
    if (card?.dataset.state === 'cutting' && upload.state === 'cut')
      say(upload.problem ?? `${upload.name} is cut. Check it, then import its cues.`);
    if (!card) {
      card = element('section', 'sheet brought');
      card.setAttribute('aria-label', upload.name);
      shown.set(upload.id, card);
      box.append(card);
    }
    card.dataset.state = upload.state;
    card.replaceChildren(element('h2', 'label', `${upload.name} · ${clock(upload.seconds)}`));
    if (upload.problem) card.append(element('p', 'notice', upload.problem));
    if (upload.state === 'hearing') {
      card.append(element('p', 'soft', 'Transcribing, about as fast as it plays. You can work elsewhere.'));
      return;
    }
    if (upload.state === 'cutting') {
      card.append(element('p', 'soft', 'Finding its cues…'));
      return;
    }
    if (upload.state === 'taking') {
      const taken = upload.lines.filter(line => line.taken).length;
      card.append(element('p', 'soft', `Importing ${taken} of ${upload.lines.length}. You can work elsewhere.`));
      return;
    }
    card.append(table(upload));
  }

  function table(upload) {
    const form = element('form', 'cuttable');
    const list = element('ol', 'cutlist');
    const seconds = (value, label) => {
      const input = element('input', 'form-control figures');
      Object.assign(input, {
        type: 'number',
        step: '0.01',
        min: '0',
        max: (Math.ceil(upload.seconds * 100) / 100).toFixed(2),
        value: value.toFixed(2),
        required: true,
      });
      input.setAttribute('aria-label', label);
      return input;
    };
    const times = new Map();
    upload.lines.forEach(line => times.set(line.cue, (times.get(line.cue) ?? 0) + 1));
    const seen = new Map();
    const put = (line, repeated) => {
      const row = element('li', '');
      const tick = element('input', '');
      Object.assign(tick, { type: 'checkbox', checked: true });
      tick.setAttribute('aria-label', `Import cue ${line.number}`);
      row.dataset.cue = line.cue;
      const from = seconds(line.from, `Cue ${line.number} begins at`);
      const to = seconds(line.to, `Cue ${line.number} ends at`);
      row.append(
        tick,
        element('span', 'figures', line.number),
        element('span', 'text', repeated + line.text),
        from,
        element('span', 'soft', 'to'),
        to,
        button('btn-quiet', '▶', () => hear(upload, Number(from.value), Number(to.value)), `Play cue ${line.number}`),
      );
      return row;
    };
    upload.lines.forEach(line => {
      const nth = (seen.get(line.cue) ?? 0) + 1;
      seen.set(line.cue, nth);
      list.append(put(line, times.get(line.cue) > 1 ? `${nth} of ${times.get(line.cue)}: ` : ''));
    });
    form.append(list);
    if (upload.left.length) form.append(missing(upload, list, put));
    const foot = element('div', 'row-of-buttons');
    const go = element('button', 'btn btn-sea', 'Import selected cues');
    go.disabled = !upload.lines.length;
    foot.append(
      go,
      button('btn-quiet', 'Delete file', async () => {
        await outcome(ask('POST', `${address}/${upload.id}/remove`, new FormData()));
        look();
      }),
    );
    form.append(foot);
    form.addEventListener('submit', async event => {
      event.preventDefault();
      const wanted = [...list.children]
        .filter(row => row.querySelector('[type=checkbox]').checked)
        .map(row => {
          const [from, to] = [...row.querySelectorAll('[type=number]')].map(input => Number(input.value));
          return { cue: row.dataset.cue, from, to };
        });
      await outcome(ask('POST', `${address}/${upload.id}/take`, wanted));
      look();
    });
    return form;
  }

  /** Cues that weren't found can be put in by hand: between the ones beside them. */
  function missing(upload, list, put) {
    const line = element('p', 'soft missing', 'Not found in it: ');
    const order = rows().map(row => row.id);
    upload.left.forEach(cue =>
      line.append(
        button(
          'btn-quiet',
          cue.number,
          event => {
            const later = [...list.children].find(row => order.indexOf(row.dataset.cue) > order.indexOf(cue.cue));
            const before = later ? later.previousElementSibling : list.lastElementChild;
            const time = (row, which) => Number(row.querySelectorAll('[type=number]')[which].value);
            const row = put(
              { ...cue, from: before ? time(before, 1) : 0, to: later ? time(later, 0) : upload.seconds },
              '',
            );
            list.insertBefore(row, later ?? null);
            event.target.remove();
            line.hidden = !line.querySelector('button');
            line.closest('form').querySelector('.btn-sea').disabled = false;
            row.querySelector('[type=number]').select();
          },
          `Put cue ${cue.number} in by hand`,
        ),
      ),
    );
    return line;
  }

  async function hear(upload, from, to) {
    try {
      await player.play(`${address}/${upload.id}/sound.wav?from=${from}&to=${Math.max(from + 0.05, to)}`);
    } catch (error) {
      say(error.message);
    }
  }

  return { bring, look };
}
