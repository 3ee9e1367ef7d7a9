// The words of a cue as text: each one lights up as it sounds, can be chosen, and is played from.

import { element } from '../app.js';

/** @param {{play: Function, choose: Function}} acts play(index), choose(index, extend) */
export function wordsOf(box, acts) {
  let spans = [];
  let shown = -1;

  box.addEventListener('click', event => {
    const at = spans.indexOf(event.target.closest('.w'));
    if (at < 0) return;
    acts.choose(at, event.shiftKey);
    if (!event.shiftKey) acts.play(at);
  });

  return {
    /** @param sheet of the cue; text, places of words, notes */
    fill(sheet) {
      const parts = [];
      let from = 0;
      spans = sheet.words.map(([start, end], i) => {
        parts.push(sheet.text.slice(from, start));
        const span = element('span', 'w', sheet.text.slice(start, end));
        const notes = sheet.notes.filter(note => note.index === i && note.open);
        if (notes.length) {
          span.classList.add('noted');
          span.title = notes.map(note => note.remark).join('\n');
        }
        parts.push(span);
        from = end;
        return span;
      });
      parts.push(sheet.text.slice(from));
      box.replaceChildren(...parts);
      shown = -1;
    },
    /** Lights up what sounds now; what was said before stands back. @param index of a word; −1 for none */
    light(index) {
      if (index === shown) return;
      shown = index;
      spans.forEach((span, i) => {
        span.classList.toggle('now', i === index);
        span.classList.toggle('said', index >= 0 && i < index);
      });
      spans[index]?.scrollIntoView({ block: 'nearest' });
    },
    choose(from, to) {
      spans.forEach((span, i) => span.classList.toggle('chosen', i >= from && i <= to));
      spans[to]?.scrollIntoView({ block: 'nearest' });
    },
    count: () => spans.length,
    text: index => spans[index]?.textContent ?? '',
  };
}
