// Which cues are listed: all, or those that still ask for an ear.

const FILTERS = {
  all: () => true,
  unheard: cue => cue.review === 'unheard',
  noted: cue => cue.openNotes > 0,
  changed: cue => cue.review === 'changed',
};

/**
 * @param box with a button for each filter
 * @param told gets what is approved of all
 * @param changed told the cues when others of them are listed
 */
export function cueFilter(box, told, changed) {
  let filter = 'all';
  let cues = [];

  function show(now) {
    cues = now;
    const count = which => cues.filter(FILTERS[which]).length;
    const approved = cues.filter(cue => cue.review === 'approved').length;
    told.textContent =
      `${approved} of ${cues.length} approved${count('noted') ? ` · ${count('noted')} with notes` : ''}`;
    box.querySelectorAll('button').forEach(one => {
      const name = one.dataset.filter;
      one.querySelector('.count').textContent = name === 'all' ? '' : ` ${count(name)}`;
      one.setAttribute('aria-pressed', name === filter);
    });
    changed(cues);
  }

  box.addEventListener('click', event => {
    const to = event.target.closest('button');
    if (!to) return;
    filter = to.dataset.filter;
    show(cues);
  });
  return { show, wanted: cue => FILTERS[filter](cue), all: () => filter === 'all' };
}
