// Tabs, by pointer and by arrow keys (WAI-ARIA Authoring Practices, Tabs): one of them is in the order of the keyboard.

/**
 * @param list that has the tabs, each with the id "tab-" and its name
 * @param shown told the name of the one that was chosen
 * @returns chooses one by its name
 */
export function tabsOf(list, shown = (/** @type {string} */ _name) => {}) {
  // one that a visitor's rights hide is none
  const tabs = () => [...list.querySelectorAll('[role=tab]')].filter(tab => tab.offsetParent);
  const choose = name => {
    list.querySelectorAll('[role=tab]').forEach(tab => {
      const chosen = tab.id === `tab-${name}`;
      tab.setAttribute('aria-selected', chosen);
      tab.tabIndex = chosen ? 0 : -1;
      document.getElementById(tab.getAttribute('aria-controls')).hidden = !chosen;
    });
    // tabs of one panel
    const chosen = document.getElementById(`tab-${name}`);
    const panel = document.getElementById(chosen.getAttribute('aria-controls'));
    panel.hidden = false;
    panel.setAttribute('aria-labelledby', chosen.id);
    shown(name);
  };
  list.addEventListener('click', event => {
    const tab = event.target.closest('[role=tab]');
    if (tab) choose(tab.id.slice(4));
  });
  list.addEventListener('keydown', event => {
    const step = { ArrowRight: 1, ArrowLeft: -1 }[event.key];
    if (!step) return;
    event.preventDefault();
    event.stopPropagation();
    const all = tabs();
    const next = all[(all.indexOf(event.target) + step + all.length) % all.length];
    choose(next.id.slice(4));
    next.focus();
  });
  return choose;
}
