// What a measurement finds in the kept takes, where an ear tires.

import { button, element } from '../app.js';
import { ask, formOf, outcome } from '../ask.js';
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
    const now = await outcome(ask('GET', `/projects/${project}/listen/check`), sentence => {
      told.textContent = sentence;
    });
    if (!now) return;
    const all = now.checked === now.of;
    told.textContent =
      now.of === 0
        ? 'Nothing is rendered yet.'
        : all
          ? now.findings.length
            ? `${now.findings.length} found in ${takes(now.of)}.`
            : `Nothing found in ${takes(now.of)}.`
          : `${now.checked} of ${takes(now.of)} checked…`;
    list.replaceChildren(...now.findings.map(item));
    const back = box.querySelector('#checkback');
    back.hidden = now.dismissed === 0;
    back.textContent = `show ${now.dismissed} ignored`;
    acts.found(now.findings.length);
    if (!all) again = setTimeout(load, AGAIN_MS);
  }

  async function send(address, fields) {
    await outcome(ask('POST', `/projects/${project}/listen${address}`, formOf(fields)));
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
