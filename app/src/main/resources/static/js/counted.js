// Numbers with their nouns.

/** As "1 slot", "2 slots". */
export const counted = (number, noun) => `${number} ${noun}${number === 1 ? '' : 's'}`;
