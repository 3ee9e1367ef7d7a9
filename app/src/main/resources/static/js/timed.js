// Words of a take in time.

/**
 * Which word of a take stands at a place of its text, or else the next one: it may have timed fewer than are
 * written.
 */
export function timedAt(data, place) {
  const index = data.words.findIndex(word => word.end > place);
  return index < 0 ? data.words.length - 1 : index;
}

/** The last word that has begun, −1 before the first. */
export function wordAt(data, seconds) {
  let low = 0;
  let high = data.words.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (data.words[middle].from <= seconds) low = middle + 1;
    else high = middle;
  }
  return low - 1;
}
