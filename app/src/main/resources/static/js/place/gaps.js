// Gaps at the ends of scenes, and spare time that is spread over all of them, shown first.

import { ask, element, say } from '../app.js';
import { counted } from '../counted.js';

/** @param address of the step @param changed told when gaps are others */
export function gapsDialog(dialog, address, changed) {
  const box = dialog.querySelector('#scene-gaps');
  const told = dialog.querySelector('#spare-told');
  const way = dialog.querySelector('#spare-way');
  const most = dialog.querySelector('#spare-most');
  const apply = dialog.querySelector('#spare-apply');

  async function send(path, fields) {
    const form = new FormData();
    Object.entries(fields).forEach(([name, value]) => form.append(name, value));
    const { status, body } = await ask('POST', address + path, form);
    say(body?.sentence ?? 'That did not work. Reload the page.');
    if (status === 200) changed();
    return status === 200 ? null : body?.sentence;
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
      const wrong = await send('/scenes', { scene: name, seconds: input.value });
      if (wrong) told.textContent = wrong;
      preview();
    });
    label.append(input, element('span', 'soft', 's after it'));
    return label;
  }

  async function preview() {
    const { status, body } = await ask(
      'GET',
      `${address}/spare?${new URLSearchParams({ way: way.value, most: most.value })}`,
    );
    apply.disabled = status !== 200 || body.gaps.length === 0;
    if (status !== 200) {
      told.textContent = body.sentence;
      return;
    }
    const longest = body.gaps.reduce((all, gap) => Math.max(all, gap.after), 0);
    told.textContent =
      body.spare < 0.05
        ? 'The programme has its target length.'
        : body.gaps.length === 0
          ? `${body.spare.toFixed(1)} s to spare, and no gap that can grow.`
          : `${body.spare.toFixed(1)} s to spare: ${counted(body.gaps.length, 'gap')} would grow, ` +
            `to ${longest.toFixed(2)} s at the most${body.left > 0.05 ? `; ${body.left.toFixed(1)} s stay` : ''}.`;
  }

  [way, most].forEach(one => one.addEventListener('change', preview));
  apply.addEventListener('click', async () => {
    const wrong = await send('/spare', { way: way.value, most: most.value });
    if (wrong) told.textContent = wrong;
    else dialog.close();
  });
  dialog.querySelector('[data-close]').addEventListener('click', () => dialog.close());
  return async () => {
    const { status, body } = await ask('GET', `${address}/scenes`);
    box.replaceChildren(
      ...(status === 200 && body.length ? body.map(scene) : [element('p', 'soft', 'The script has no scenes.')]),
    );
    preview();
    dialog.showModal();
  };
}
