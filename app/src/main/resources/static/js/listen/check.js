// What a measurement finds in the kept takes, where an ear tires.

import { ask, button, element, say } from '../app.js';
import { edits } from './may.js';

const AGAIN_MS = 300;
const takes = count => `${count} kept take${count === 1 ? '' : 's'}`;

/** @param {{hear: Function, found: Function}} acts hear(finding), found(count) */
export function checkPanel(box, project, acts) {
  const list = box.querySelector('#checklist');
  const told = box.querySelector('#checktold');
  let again = null;
  let wanted = false;

  async function load() {
    clearTimeout(again);
    wanted = true;
    const { status, body } = await ask('GET', `/projects/${project}/listen/check`);
    if (status !== 200) {
      told.textContent = body.sentence;
      return;
    }
    const all = body.checked === body.of;
    told.textContent =
      body.of === 0
        ? 'Nothing is rendered yet.'
        : all
          ? body.findings.length
            ? `${body.findings.length} found in ${takes(body.of)}.`
            : `Nothing found in ${takes(body.of)}.`
          : `${body.checked} of ${takes(body.of)} checked…`;
    list.replaceChildren(...body.findings.map(item));
    const back = box.querySelector('#checkback');
    back.hidden = body.dismissed === 0;
    back.textContent = `show ${body.dismissed} ignored`;
    acts.found(body.findings.length);
    if (!all) again = setTimeout(load, AGAIN_MS);
  }

  async function send(address, fields) {
    const form = new FormData();
    Object.entries(fields).forEach(([name, value]) => form.append(name, value));
    const { body } = await ask('POST', `/projects/${project}/listen${address}`, form);
    say(body?.sentence ?? 'That did not work. Reload the page.');
    load();
  }

  function item(finding) {
    const made = element('li', 'finding');
    made.append(element('b', '', `${finding.number} · ${finding.label}`), element('p', '', finding.sentence));
    const acting = element('div', 'acts');
    acting.append(button('btn-quiet', 'Play', () => acts.hear(finding), `Play: ${finding.sentence}`));
    if (edits)
      acting.append(
        button(
          'btn-quiet',
          'Ignore',
          () => send(`/takes/${finding.take}/dismiss`, { kind: finding.kind.toUpperCase(), start: finding.start }),
          `Ignore: ${finding.sentence}`,
        ),
      );
    made.append(acting);
    return made;
  }

  box.querySelector('#checkback').addEventListener('click', () => send('/check/show', {}));
  return {
    load,
    again() {
      if (wanted) {
        clearTimeout(again);
        again = setTimeout(load, AGAIN_MS);
      }
    },
  };
}
