// Times as they are shown.

/** Minutes and seconds, with hours where there are any. */
export const clock = seconds => {
  const whole = Math.round(seconds);
  const two = n => String(n).padStart(2, '0');
  return whole >= 3600
    ? `${Math.floor(whole / 3600)}:${two(Math.floor(whole / 60) % 60)}:${two(whole % 60)}`
    : `${two(Math.floor(whole / 60))}:${two(whole % 60)}`;
};

/**
 * Timecode, counted in whole frames.
 * @param rate as the server gives it: frames in so many seconds, and how many a second counts
 */
export const timecode = (seconds, { frames, seconds: per, counted, drop, start }) => {
  let frame = Math.floor((seconds * frames) / per + 1e-6) + start;
  if (drop) {
    // numbers that are left out, each minute but the tenth (SMPTE ST 12-1)
    const left = counted / 15;
    const minute = 60 * counted - left;
    const ten = 10 * minute + left;
    const rest = frame % ten;
    frame +=
      left *
      (9 * Math.floor(frame / ten) + (rest < minute + left ? 0 : 1 + Math.floor((rest - minute - left) / minute)));
  }
  const two = n => String(Math.floor(n)).padStart(2, '0');
  return `${two((frame / counted / 3600) % 24)}:${two((frame / counted / 60) % 60)}:${two((frame / counted) % 60)}${drop
      ? ';' : ':'}${two(frame % counted)}`;
};
