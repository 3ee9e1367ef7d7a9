// A score before there is a take of these words: they stand where they may come to stand, so that marks can be set on them.

const SECONDS_A_LETTER = 0.065;
const SECONDS_A_REST = 0.25;

/** @param marks words of the cue as the server gives them */
export function guessed({ text, words }) {
  let at = 0.1;
  const placed = words.map(([start, end], i) => {
    const from = at;
    const to = from + Math.max(0.14, (end - start) * SECONDS_A_LETTER);
    const between = text.slice(end, words[i + 1]?.[0] ?? end);
    at = to + (/[.,;:!?…—–]/.test(between) ? SECONDS_A_REST : 0);
    return { text: text.slice(start, end), from, to };
  });
  return { seconds: at + 0.1, peaks: [], pitch: [], words: placed, guessed: true };
}
