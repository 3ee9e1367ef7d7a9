// Quotations in a cue, and who says them: each in one step.

import { element } from '../app.js';

const TURNED = ' turned';

/**
 * @param marks of the cue, as the server gives them
 * @param say   saves who says a quotation: (quotation, way, role)
 */
export function showQuotations(list, marks, say) {
  const focused = [...list.querySelectorAll('select')].indexOf(document.activeElement);
  list.replaceChildren(
    ...(marks?.quotations ?? []).map(quotation => {
      const item = element('li', '');
      const words = marks.text.slice(quotation.start, quotation.end);
      const label = element('label', '');
      const select = element('select', 'form-select');
      select.setAttribute('aria-label', `Who says “${words}”`);
      select.add(new Option('like the rest', ''));
      select.add(new Option('in a changed tone', TURNED));
      marks.roles.forEach(role => select.add(new Option(`by ${role}`, role)));
      select.value = { PLAIN: '', TURNED, ROLE: quotation.role }[quotation.voicing];
      select.addEventListener('change', () =>
        say(
          quotation,
          select.value === '' ? 'PLAIN' : select.value === TURNED ? 'TURNED' : 'ROLE',
          select.value.trim(),
        ),
      );
      label.append(element('span', 'reading', `“${words}”`), ' is said ', select);
      item.append(label);
      return item;
    }),
  );
  // what was chosen by keyboard is chosen on
  if (focused >= 0) list.querySelectorAll('select')[focused]?.focus();
}
