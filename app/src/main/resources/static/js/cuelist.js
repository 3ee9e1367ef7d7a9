// The list of cues beside what is shown of one.

import { element, say } from './app.js';

const ofRender = cue => ({ name: `state-${cue.state}`, text: cue.state === 'ready' ? '' : cue.label });

/**
 * @param address of a cue's own place
 * @param open    goes to a cue by its link
 * @param stateOf what is said at a cue: {name of a class, text}; unless told otherwise, what a render makes of it
 */
export function cueList(list, address, open, stateOf = ofRender) {
  const links = () => [...(list?.querySelectorAll('a') ?? [])];
  const current = () => links().findIndex(link => link.hasAttribute('aria-current'));

  function item(cue) {
    const made = document.createElement('li');
    const link = document.createElement('a');
    link.href = address(cue.id);
    link.dataset.cue = cue.id;
    const below = element('span', 'below');
    below.append(element('span', 'role'), element('span', 'figures soft seconds'), element('span', 'state'));
    link.append(element('span', 'figures number'), element('span', 'words'), below);
    made.append(link);
    return made;
  }

  function fill(link, cue) {
    const write = (part, text) => {
      const there = link.querySelector(part);
      if (there.textContent !== text) there.textContent = text;
    };
    const state = link.querySelector('.state');
    const { name, text } = stateOf(cue);
    state.className = `state ${name}`;
    link.querySelector('.below').className = `below role-${cue.colour}`;
    write('.state', text);
    write('.number', cue.number);
    write('.words', cue.words);
    write('.role', cue.role);
    write('.seconds', `${cue.measured ? '' : '≈ '}${cue.seconds.toFixed(1)} s`);
  }

  list?.addEventListener('click', event => {
    const link = event.target.closest('a');
    if (!link || event.ctrlKey || event.metaKey || event.shiftKey) return;
    event.preventDefault();
    open(link);
  });

  return {
    show(cues, chosen) {
      if (!list) return;
      const shown = links();
      if (shown.length !== cues.length || cues.some((cue, i) => shown[i].dataset.cue !== cue.id))
        list.replaceChildren(...cues.map(item));
      links().forEach((link, i) => fill(link, cues[i]));
      this.mark(chosen);
    },
    mark(chosen) {
      links().forEach(link => {
        if (link.dataset.cue !== chosen) link.removeAttribute('aria-current');
        else if (!link.hasAttribute('aria-current')) {
          link.setAttribute('aria-current', 'true');
          link.scrollIntoView({ block: 'nearest' });
        }
      });
    },
    open: id =>
      links()
        .find(link => link.dataset.cue === id)
        ?.click(),
    step: by => links()[current() + by]?.click(),
    /** @param shown which cues are */
    filter(cues, shown) {
      links().forEach((link, i) => {
        link.parentElement.hidden = !shown(cues[i]);
      });
    },
    nextChanged() {
      const all = links();
      const at = current();
      const wanted = [...all.slice(at + 1), ...all.slice(0, at + 1)].find(
        link => link.querySelector('.state').textContent !== '',
      );
      if (wanted) wanted.click();
      else say('No cue is changed.');
    },
  };
}
