// A score before there is a take of these words: they stand where the server expects them, so that marks can be set on
// them.

/**
 * @param marks words of the cue as the server gives them, with the times that they may come to have, and its marks: a
 *   pause moves what follows it
 */
export function guessed({ text, words, expected, seconds, marks = [] }) {
  let later = 0;
  const placed = words.map(([start, end], i) => {
    const word = { text: text.slice(start, end), from: expected[i][0] + later, to: expected[i][1] + later };
    const pause = marks.find(mark => mark.kind === 'pause' && mark.to === i && mark.origin !== 'suggested');
    if (pause && i + 1 < words.length) {
      const rest = expected[i + 1][0] - expected[i][1];
      later += Math.max(0, Number(pause.value) / 1000 - rest);
    }
    return word;
  });
  return { seconds: seconds + later, peaks: [], pitch: [], guessed: true, words: placed };
}
