// Captions in a dialog: what readers see of each cue, corrected where it isn't what is spoken.

import { ask, outcome } from '../ask.js';

/** @param address of the project's captions */
export function captions(address) {
  const dialog = document.getElementById('captions');
  let cue = null;

  function show(html) {
    const found = new DOMParser().parseFromString(html, 'text/html').getElementById('captions-list');
    if (!found) return;
    const scrolled = dialog.querySelector('.captionrows')?.scrollTop ?? 0;
    document.getElementById('captions-list').replaceWith(document.adoptNode(found));
    const rows = dialog.querySelector('.captionrows');
    rows.scrollTop = scrolled;
    if (cue) rows.querySelector(`[data-cue="${CSS.escape(cue)}"] textarea`)?.focus({ preventScroll: true });
  }

  async function renew() {
    const answer = await fetch(address);
    if (answer.ok) show(await answer.text());
    return answer.ok;
  }

  async function correct(row, text) {
    const form = new FormData();
    form.set('shown', text);
    cue = row.contains(document.activeElement) ? row.dataset.cue : null;
    const problem = document.getElementById('captions-problem');
    const done = await outcome(ask('POST', `${address}/${row.dataset.cue}`, form), sentence => {
      problem.textContent = sentence;
    });
    problem.hidden = done !== null;
    if (done) await renew();
  }

  dialog.addEventListener('change', event => {
    const row = event.target.closest('[data-cue]');
    if (row) correct(row, event.target.value);
  });
  dialog.addEventListener('click', event => {
    const row = event.target.closest('[data-cue]');
    if (event.target.closest('[data-close]')) dialog.close();
    else if (event.target.closest('button[data-spoken]')) correct(row, row.dataset.spoken);
    else if (event.target.closest('[data-again]')) correct(row, event.target.dataset.again);
  });
  return {
    async open() {
      if ((await renew()) && !dialog.open) dialog.showModal();
    },
    /** What is being typed stays. */
    renew() {
      if (dialog.open && !dialog.querySelector('textarea:focus')) renew();
    },
  };
}
