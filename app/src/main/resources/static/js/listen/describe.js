// What is said of a take: a name, a star, labels, a note on all of it.

import { button, element } from '../app.js';

/** @param save told the take and the fields. @returns shows the dialog for a take */
export function describing(dialog, save) {
  const form = dialog.querySelector('form');
  const field = name => form.elements.namedItem(name);
  let meant = null;

  function suggest(labels) {
    const has = () =>
      field('labels')
        .value.split(',')
        .map(label => label.trim())
        .filter(Boolean);
    dialog.querySelector('#label-suggestions').replaceChildren(
      ...labels.slice(0, 12).map(label =>
        button(
          'chip',
          label,
          () => {
            const now = has();
            field('labels').value = (now.includes(label) ? now.filter(other => other !== label) : [...now, label]).join(
              ', ',
            );
          },
          `Label ${label}`,
        ),
      ),
    );
    dialog.querySelector('#label-none').hidden = labels.length > 0;
  }

  form.addEventListener('submit', event => {
    if (event.submitter?.value !== 'save') return;
    save(meant, {
      name: field('name').value,
      remark: field('remark').value,
      labels: field('labels').value,
      starred: field('starred').checked,
    });
  });

  return (take, labels) => {
    meant = take;
    dialog.querySelector('h2').replaceChildren(element('span', '', take.name), ` of this cue`);
    field('name').value = take.title;
    field('remark').value = take.remark;
    field('labels').value = take.labels.join(', ');
    field('starred').checked = take.starred;
    suggest(labels);
    dialog.showModal();
  };
}
