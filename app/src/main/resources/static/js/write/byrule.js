// What is said by rule: a closed list of written forms with their words, to search, to change and to take away.

import { button, element } from '../app.js';
import { grouped } from './grouped.js';

const MOST_LINES = 150;

/** Written forms that are said alike are one line. */
const form = finding => finding.text + finding.wouldSay;

const matches = words => finding =>
  [finding.text, finding.wouldSay, finding.title].some(text => text.toLowerCase().includes(words));

/**
 * @param project its id
 * @param acts    what can be done: `opened` and closed, `go` to a form in the script, `hear` it, `take` another way to
 *     say it, and a button to `respell` it
 */
export function rulesOf(project, acts) {
  const box = /** @type {HTMLDetailsElement} */ (element('details', 'byrule'));
  const head = element('summary', 'kindhead');
  const filter = document.createElement('input');
  const shown = element('span', 'figures soft');
  const lines = element('ul', 'rulelines');
  const rest = element('p', 'soft');
  let listed = [];

  filter.id = 'rule-filter';
  filter.type = 'search';
  filter.className = 'form-control';
  filter.autocomplete = 'off';
  const label = element('label', '', 'Filter by words or kind');
  label.setAttribute('for', filter.id);
  const file = element('a', 'btn-quiet', 'Export CSV');
  file.href = `/projects/${project}/proof/said.csv`;
  const foot = element('div', 'row-of-buttons');
  foot.append(shown, file);
  box.append(head, label, filter, foot, lines, rest);

  function draw() {
    const wanted = grouped(listed.filter(matches(filter.value.trim().toLowerCase())), form);
    const all = grouped(listed, form).length;
    shown.textContent = wanted.length === all ? '' : `${wanted.length} of ${all} forms`;
    lines.replaceChildren(...wanted.slice(0, MOST_LINES).map(line));
    const more = wanted.length - MOST_LINES;
    rest.textContent = more > 0 ? `and ${more} more: filter the list to see them.` : '';
  }

  function line(alike) {
    const finding = alike[0];
    const item = element('li', 'ruleline');
    item.dataset.start = finding.start;
    const about = element('p', '');
    about.append(
      button('words', finding.text, () => acts.go(finding), `Go to ${finding.text} in cue ${finding.number}`),
      element('span', 'where', alike.length > 1 ? `${finding.number} +${alike.length - 1}` : finding.number),
      element('span', 'where', finding.sureness === 'likely' ? `${finding.title}, likely` : finding.title),
      element('span', 'said', finding.wouldSay),
    );
    const chips = element('div', 'chips');
    chips.append(button('chip', '▶', () => acts.hear(finding), `Play ${finding.text}`));
    finding.suggestions
      .slice(1)
      .forEach((suggestion, i) =>
        chips.append(
          button(
            'chip',
            suggestion.label,
            () => acts.take(alike, i + 1),
            `Say ${finding.text} instead: ${suggestion.label}`,
          ),
        ),
      );
    chips.append(acts.respell(finding));
    item.append(about, chips);
    return item;
  }

  filter.addEventListener('input', draw);
  box.addEventListener('toggle', () => acts.opened(box.open));

  return {
    /** @param findings what is said by rule, once it was asked for; @param count how many there are */
    show(findings, count) {
      head.textContent = `Said by rule · ${count}`;
      listed = findings;
      if (box.open) draw();
      // it is asked for again when it opens
      else lines.replaceChildren();
      return box;
    },
  };
}
