// A score before there is a take of these words: they stand where the server expects them, so that marks can be set on
// them.

/** @param marks words of the cue as the server gives them, with the times that they may come to have */
export const guessed = ({ text, words, expected, seconds }) => ({
  seconds,
  peaks: [],
  pitch: [],
  guessed: true,
  words: words.map(([start, end], i) => ({ text: text.slice(start, end), from: expected[i][0], to: expected[i][1] })),
});
