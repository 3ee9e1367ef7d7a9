// What phrasing does, drawn faintly on the score: an arrow where the pitch glides, a sign where stress comes or goes.
// Hovering says why; a press makes it the user's own mark.

const SVG = 'http://www.w3.org/2000/svg';
const SIZE = 14;

/** Strokes in a box of 14 by 10, from its upper left corner. */
const STROKES = {
  rise: 'M1 9L11 2M6.5 1.5L11 2L9.5 6',
  fall: 'M1 1L11 8M6.5 8.5L11 8L9.5 4',
  level: 'M1 5H12M9 2.5L12 5L9 7.5',
  accent: 'M2 9L7 2L12 9',
  stressed: 'M7 2V8M4 5H10',
  unstressed: 'M4 5H10',
  span: 'M1 8V4H13V8',
};

const made = (name, attributes) => {
  const element = document.createElementNS(SVG, name);
  for (const [key, value] of Object.entries(attributes)) element.setAttribute(key, value);
  return element;
};

/** A sign of a kind, for a legend. */
export function sign(move) {
  const svg = made('svg', { viewBox: '0 0 14 10', width: SIZE, height: 10, 'aria-hidden': 'true' });
  svg.append(made('path', { d: STROKES[move] }));
  return svg;
}

function titled(group, sentence) {
  const title = made('title', {});
  title.textContent = sentence;
  group.append(title);
  return group;
}

/**
 * Signs over a word, from its right edge on, one beside the other; a span begins at its first word.
 *
 * @param parts of phrasing that are drawn at this word
 * @param top   of the word's box
 */
export function signs(parts, x, width, top) {
  const endings = parts.filter(part => part.move !== 'span' && part.move !== 'accent');
  return parts.map(part => {
    const left = part.move === 'span' || part.move === 'accent';
    const place = left ? x : x + width - SIZE * (endings.length - endings.indexOf(part));
    const group = made('g', {
      class: `phrased phrased-${part.move}`,
      'data-phrased': part.index,
      transform: `translate(${place.toFixed(1)} ${top - 13})`,
    });
    group.append(
      made('rect', { class: 'hold', x: -1, y: -2, width: SIZE + 2, height: 14 }),
      made('path', { d: STROKES[part.move] }),
    );
    return titled(group, `${part.sentence}. Press to make it a mark of your own.`);
  });
}

/** Why a rest is as long as it is. */
export const explain = (rest, part) => {
  rest.classList.add('phrasedrest');
  return titled(rest, part.sentence);
};
