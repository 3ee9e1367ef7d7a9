// Delivered clips that come back: each is looked into, and its cue is shown, or can be made again.

import { element } from '../app.js';
import { ask, outcome } from '../ask.js';

/** What a clip carries stands at its beginning: this much of it is sent, however long it is. */
const HEAD = 2 << 20;

/** @param address of the project's clips */
export function clips(address) {
  const list = document.getElementById('returned');
  const again = document.getElementById('again');
  const problem = document.getElementById('clips-problem');
  const chooser = document.getElementById('clips');
  if (!list) return;
  let files = [];

  const form = () => {
    const heads = new FormData();
    files.forEach(file => heads.append('files', file.slice(0, HEAD), file.name));
    return heads;
  };
  async function sent(address, body) {
    const answer = await outcome(ask('POST', address, body), sentence => {
      problem.textContent = sentence;
    });
    problem.hidden = answer !== null;
    return answer;
  }

  function line({ file, carries, number, role, text, address: where, sentence }) {
    const item = element('li', carries ? '' : 'foreign');
    const words = element('span', 'words');
    words.append(
      element('b', 'figures', number || file),
      ' ',
      carries ? `${role}: ${text}` : '',
      element('br'),
      element('span', 'soft', sentence),
    );
    item.append(words);
    if (where) {
      const link = element('a', 'btn btn-plain', 'Go to cue');
      link.href = where;
      link.setAttribute('aria-label', `Go to cue ${number}`);
      item.append(link);
    }
    return item;
  }

  async function look(chosen) {
    files = [...chosen];
    if (!files.length) return;
    const found = (await sent(address, form())) ?? [];
    list.replaceChildren(...found.map(line));
    again.hidden = !found.some(one => one.carries);
  }

  again.addEventListener('click', async event => {
    const how = event.target.dataset.again;
    if (!how) return;
    const wanted = form();
    wanted.append('how', how);
    const project = await sent(`${address}/again`, wanted);
    if (project) location.assign(project.address);
  });
  chooser.addEventListener('change', () => look(chooser.files));
  document.addEventListener('dragover', event => {
    if ([...event.dataTransfer.types].includes('Files')) event.preventDefault();
  });
  document.addEventListener('drop', event => {
    if (!event.dataTransfer.files.length) return;
    event.preventDefault();
    look(event.dataTransfer.files);
    list.scrollIntoView({ block: 'nearest' });
  });
}
