// Which takes of a cue are laid side by side: all, or those of a kind.

/** @param changed told when others are wanted */
export function takeFilter(select, changed) {
  let wanted = '';

  const shown = (take, kept) =>
    !wanted ||
    {
      starred: take.starred,
      unkept: !take.kept,
      long: take.seconds > (kept?.seconds ?? 0),
      short: take.seconds < (kept?.seconds ?? Infinity),
    }[wanted] ||
    (wanted.startsWith('label:') && take.labels.includes(wanted.slice(6))) ||
    (wanted.startsWith('voice:') && take.voice === wanted.slice(6));

  function offer(takes) {
    const values = [
      ['', 'all takes'],
      ['starred', 'starred'],
      ['unkept', 'not kept'],
      ['short', 'shorter than the kept one'],
      ['long', 'longer than the kept one'],
      ...[...new Set(takes.flatMap(take => take.labels))].map(label => [`label:${label}`, `labelled “${label}”`]),
      ...[...new Set(takes.map(take => take.voice))].slice(0, 20).map(voice => [`voice:${voice}`, `by ${voice}`]),
    ];
    if (!values.some(([value]) => value === wanted)) wanted = '';
    select.replaceChildren(...values.map(([value, text]) => new Option(text, value)));
    select.value = wanted;
  }

  select.addEventListener('change', () => {
    wanted = select.value;
    changed();
  });
  return {
    /** Those of a cue's takes that are wanted; one that none of them is any more isn't wanted any longer. */
    filter(takes) {
      offer(takes);
      return takes.filter(take =>
        shown(
          take,
          takes.find(one => one.kept),
        ),
      );
    },
  };
}
