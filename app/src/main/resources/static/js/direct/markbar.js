// The exact values of what is chosen, always typable, and every mark of the cue in words.

import { button, element } from '../app.js';
import { quoted } from '../quoted.js';
import * as marks from './marks.js';
import { reachedOf } from './score.js';

const { KINDS } = marks;
const TYPED = [
  ['pace', 'Pace', '%'],
  ['range', 'Range', '%'],
  ['loudness', 'Loudness', 'dB'],
];
const spelled = id => marks.PRONUNCIATIONS.some(kind => kind.id === id && kind.typed);

function labelled(text, ...inside) {
  const label = element('label', '', text);
  label.append(...inside);
  return label;
}

function number(kind, text, unit, shown) {
  const input = element('input', 'form-control');
  // kept in milliseconds, a pause is typed in seconds
  const per = KINDS[kind].unit === 'ms' ? 1000 : 1;
  Object.assign(input, {
    type: 'number',
    name: kind,
    step: KINDS[kind].fineNudge / per,
    placeholder: kind === 'pause' ? 'default' : KINDS[kind].neutral,
    value: shown,
  });
  [input.min, input.max] = [KINDS[kind].least / per, KINDS[kind].most / per];
  input.addEventListener('change', () =>
    marks.set(kind, kind === 'pause' && input.value !== '' ? String(Math.round(input.value * 1000)) : input.value),
  );
  return labelled(text, input, element('span', 'unit', unit));
}

/** Semitones, or Hz: "180 Hz". */
function pitch() {
  const input = element('input', 'form-control');
  Object.assign(input, {
    type: 'text',
    name: 'pitch',
    placeholder: '0',
    value: marks.at('pitch')?.value ?? '',
    title: 'Semitones such as -2, or a pitch such as 180 Hz',
  });
  input.addEventListener('change', () => marks.set('pitch', input.value.replace('−', '-').replace(',', '.').trim()));
  return labelled('Pitch', input, element('span', 'unit', 'st'));
}

function choice(kind, text, values, shown) {
  const input = element('select', 'form-select');
  input.name = kind;
  values.forEach(([value, words]) => input.add(new Option(words, value, false, value === shown)));
  // a value that isn't offered here, from another document
  if (shown && input.value !== shown) input.add(new Option(shown, shown, false, true));
  input.addEventListener('change', () => marks.set(kind, input.value));
  return labelled(text, input);
}

const same = values => values.map(value => [value, value]);

function whisper() {
  const label = element('label', 'tick', '');
  const tick = element('input', '');
  Object.assign(tick, { type: 'checkbox', name: 'whisper', checked: Boolean(marks.at('whisper')) });
  tick.addEventListener('change', marks.toggleWhisper);
  label.append(tick, ' Whisper');
  return label;
}

function reading() {
  const now = marks.at('reading')?.value ?? '';
  const [kind] = now.split(' ', 1);
  const select = element('select', 'form-select');
  select.name = 'reading';
  select.add(new Option('as written', ''));
  marks.PRONUNCIATIONS.forEach(({ id, title }) => select.add(new Option(title, id, false, id === kind)));
  const said = element('input', 'form-control said');
  Object.assign(said, {
    type: 'text',
    name: 'said',
    maxLength: marks.LONGEST_READING,
    value: now.slice(kind.length + 1),
    hidden: !spelled(kind),
  });
  said.setAttribute('aria-label', 'Pronunciation');
  said.setAttribute('data-typed', 'said');
  const save = () => marks.set('reading', spelled(select.value) ? `${select.value} ${said.value}` : select.value);
  select.addEventListener('change', () => {
    said.hidden = !spelled(select.value);
    if (spelled(select.value) && said.value === '') said.focus();
    else save();
  });
  said.addEventListener('change', () => {
    if (said.value.trim() !== '') save();
  });
  return [labelled('Said as', select), said];
}

/** A way of speaking, and how strongly. */
function style(styles) {
  const [name = '', percent = KINDS.style.neutral] = (marks.at('style')?.value ?? '').split(' ');
  const select = element('select', 'form-select');
  select.name = 'style';
  ['none', ...styles].forEach(word => select.add(new Option(word, word, false, word === name)));
  const strength = element('input', 'form-control');
  Object.assign(strength, {
    type: 'number',
    name: 'strength',
    min: KINDS.style.least,
    max: KINDS.style.most,
    step: KINDS.style.fineNudge,
    value: percent,
    hidden: name === '',
  });
  strength.setAttribute('aria-label', 'Strength of the style in per cent');
  const save = () =>
    marks.set('style', select.value === 'none' ? '' : `${select.value} ${strength.value || KINDS.style.neutral}`);
  select.addEventListener('change', save);
  strength.addEventListener('change', save);
  return labelled('Style', select, strength);
}

const languages = () => [
  ['', 'default'],
  ...[...document.getElementById('language-list').content.querySelectorAll('option')].map(option => [
    option.value,
    option.textContent,
  ]),
];

/** A language, and who says it: a voice that speaks it, or this one in its own sounds. */
function language() {
  const [tag = '', own = ''] = (marks.at('language')?.value ?? '').split(' ');
  const select = element('select', 'form-select');
  select.name = 'language';
  languages().forEach(([value, words]) => select.add(new Option(words, value, false, value === tag)));
  // one that isn't offered here, from another document
  if (tag && select.value !== tag) select.add(new Option(tag, tag, false, true));
  const by = element('select', 'form-select');
  [
    ['', 'another voice'],
    ['own', 'this voice'],
  ].forEach(([value, words]) => by.add(new Option(words, value, false, value === own)));
  by.setAttribute('aria-label', 'Who says the other language');
  by.hidden = tag === '';
  const save = () => {
    by.hidden = select.value === '';
    marks.set('language', select.value && by.value ? `${select.value} ${by.value}` : select.value);
  };
  select.addEventListener('change', save);
  by.addEventListener('change', save);
  return labelled('Language', select, by);
}

// of the project's lists, asked for when a gap is chosen first
let sounds = null;
const soundNames = () =>
  (sounds ??= marks.sounds().catch(() => {
    sounds = null;
    return [];
  }));

/** A sound in the gap: which one, how long the gap is for it, and how loud it is against the voice. */
function sound() {
  const [millis = '', level = '', ...words] = (marks.at('sound')?.value ?? '').split(' ');
  const name = words.join(' ');
  const select = element('select', 'form-select');
  select.name = 'sound';
  select.add(new Option('none', ''));
  if (name) select.add(new Option(name, name, false, true));
  soundNames().then(names =>
    names.filter(one => one.toLowerCase() !== name.toLowerCase()).forEach(one => select.add(new Option(one, one))),
  );
  const typed = (type, least, most, step, value, label) => {
    const input = element('input', 'form-control');
    Object.assign(input, { type: 'number', min: least, max: most, step, value, hidden: name === '' });
    input.setAttribute('aria-label', label);
    input.setAttribute('data-typed', type);
    return input;
  };
  const seconds = typed(
    'sound-seconds',
    0,
    KINDS.pause.most / 1000,
    0.01,
    name ? (millis / 1000).toFixed(2) : '1.00',
    'Length of the gap in seconds',
  );
  const decibels = typed('sound-level', -60, 6, 1, name ? level : '-12', 'dB against the voice');
  const save = () =>
    marks.set(
      'sound',
      select.value === '' ? '' : `${Math.round(seconds.value * 1000)} ${decibels.value || -12} ${select.value}`,
    );
  [select, seconds, decibels].forEach(one => one.addEventListener('change', save));
  const units = ['s', 'dB'].map(unit => Object.assign(element('span', 'unit', unit), { hidden: name === '' }));
  const wrapped = labelled('Sound', select, seconds, units[0], decibels, units[1]);
  wrapped.classList.add('soundfield');
  return wrapped;
}

/** What phrasing does to what is chosen, each with a way to make it a mark. */
function phrased({ from, to, gap }) {
  const here = marks
    .phrasing()
    .filter(part => (gap ? part.move === 'rest' && part.to === from : part.from <= to && part.to >= from));
  if (!here.length) return [];
  const list = element('ul', 'phrasedlist');
  list.setAttribute('aria-label', 'Phrasing here');
  list.append(
    ...here.map(part => {
      const item = element('li', '', part.sentence);
      const make = () => marks.own(part.index);
      if (part.own) item.append(button('btn-quiet', 'Make it a mark', make, `Make a mark of ${part.sentence}`));
      return item;
    }),
  );
  return [list];
}

/** @param styles names of ways of speaking */
export function showBar(bar, styles) {
  // what no kind is known of can't be set; why is said under the head
  if (!KINDS.pause) return;
  const all = marks.all();
  const chosen = marks.selection();
  bar.hidden = !all?.words.length;
  if (bar.hidden) return;
  const word = i => all.text.slice(...all.words[i]);
  const title = chosen.gap
    ? `Between ${quoted(word(chosen.from))} and ${quoted(word(chosen.from + 1))}`
    : chosen.from === chosen.to
      ? quoted(word(chosen.from))
      : `${quoted(`${word(chosen.from)} … ${word(chosen.to)}`)}, ${chosen.to - chosen.from + 1} words`;
  const fields = element('div', 'markfields');
  const who = element('div', 'who');
  if (chosen.gap) {
    fields.append(
      number('pause', 'Pause', 's', marks.at('pause') ? (marks.at('pause').value / 1000).toFixed(2) : ''),
      choice('breath', 'Breath', same(marks.DEPTHS), marks.at('breath')?.value ?? 'none'),
      sound(),
    );
  } else {
    fields.append(
      ...TYPED.slice(0, 1).map(([kind, text, unit]) => number(kind, text, unit, marks.at(kind)?.value ?? '')),
      pitch(),
      ...TYPED.slice(1).map(([kind, text, unit]) => number(kind, text, unit, marks.at(kind)?.value ?? '')),
      choice('stress', 'Stress', same(marks.LEVELS), marks.at('stress')?.value ?? 'none'),
      style(styles),
      whisper(),
    );
    who.append(
      ...reading(),
      choice('role', 'Voice', [['', 'this voice'], ...same(all.roles)], marks.at('role')?.value ?? ''),
      language(),
    );
  }
  bar.replaceChildren(element('h2', 'reading', title), who, fields, ...phrased(chosen));
}

/** Every mark of the cue in words, each with what was reached and a way to take it off. */
export function showList(list) {
  const all = marks.all();
  list.replaceChildren(
    ...marks.lines().map(mark => {
      const item = element('li', mark.origin === 'suggested' ? 'ghost' : '');
      const words =
        mark.from === mark.to
          ? all.text.slice(...all.words[mark.from])
          : `${all.text.slice(...all.words[mark.from])} … ${all.text.slice(...all.words[mark.to])}`;
      const what = mark.kind === 'pause' ? `pause ${mark.label}` : mark.label;
      item.append(
        element('span', 'reading', KINDS[mark.kind]?.onGap ? `after ${quoted(words)}` : quoted(words)),
        element('span', 'figures', `${what}${reachedOf(mark)}`),
      );
      if (mark.reason) item.append(element('span', 'soft', mark.reason));
      if (mark.origin === 'suggested')
        item.append(
          button('btn-quiet', 'Accept', () => marks.suggest('/take', 'CUE', mark), `Accept ${what} of ${words}`),
        );
      item.append(
        button(
          'btn-quiet danger',
          'Remove',
          () => marks.send('/marks/remove', { start: mark.start, end: mark.end, kind: mark.kind }),
          `Remove ${what} of ${words}`,
        ),
      );
      return item;
    }),
  );
}
