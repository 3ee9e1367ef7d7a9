// Gaps at the ends of scenes, and spare time that is spread over all of them, shown first.

import { element, say } from '../app.js';
import { ask, formOf, outcome } from '../ask.js';
import { counted } from '../counted.js';

/** @param address of the step @param changed told when gaps are others */
export function gapsDialog(dialog, address, changed) {
  const box = dialog.querySelector('#scene-gaps');
  const told = dialog.querySelector('#spare-told');
  const way = dialog.querySelector('#spare-way');
  const most = dialog.querySelector('#spare-most');
  const apply = dialog.querySelector('#spare-apply');

  const tell = sentence => {
    told.textContent = sentence;
  };

  /** Whether it was done; what came of it is said on the page, and in the dialog when that stays. */
  async function send(path, fields) {
    const done = await outcome(ask('POST', address + path, formOf(fields)), sentence => {
      say(sentence);
      tell(sentence);
    });
    if (done) changed();
    return done !== null;
  }

  function scene({ scene: name, millis }) {
    const label = element('label', 'scenegap', name);
    const input = element('input', 'form-control figures');
    Object.assign(input, {
      type: 'number',
      min: 0,
      max: 10,
      step: 0.01,
      value: millis === null ? '' : millis / 1000,
      placeholder: 'default',
    });
    input.addEventListener('change', async () => {
      if (await send('/scenes', { scene: name, seconds: input.value })) preview();
    });
    label.append(input, element('span', 'soft', 's after it'));
    return label;
  }

  async function preview() {
    const wanted = new URLSearchParams({ way: way.value, most: most.value });
    const found = await outcome(ask('GET', `${address}/spare?${wanted}`), tell);
    apply.disabled = !found?.gaps.length;
    if (!found) return;
    const { gaps, spare, left } = found;
    const longest = gaps.reduce((all, gap) => Math.max(all, gap.after), 0);
    tell(
      spare < 0.05
        ? 'The programme has its target length.'
        : gaps.length === 0
          ? `${spare.toFixed(1)} s to spare, and no gap that can grow.`
          : `${spare.toFixed(1)} s to spare: ${counted(gaps.length, 'gap')} would grow, ` +
            `to ${longest.toFixed(2)} s at the most${left > 0.05 ? `; ${left.toFixed(1)} s stay` : ''}.`,
    );
  }

  [way, most].forEach(one => one.addEventListener('change', preview));
  apply.addEventListener('click', async () => {
    if (await send('/spare', { way: way.value, most: most.value })) dialog.close();
  });
  dialog.querySelector('[data-close]').addEventListener('click', () => dialog.close());
  return async () => {
    const scenes = await ask('GET', `${address}/scenes`);
    box.replaceChildren(
      ...(scenes.length ? scenes.map(scene) : [element('p', 'soft', 'The script has no scenes.')]),
    );
    preview();
    dialog.showModal();
  };
}
