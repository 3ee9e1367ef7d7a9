// The light or the dark page: as the system has it, until somebody chooses. It runs before anything is drawn.
(() => {
  const KEPT = 'logophon-theme';
  const dark = matchMedia('(prefers-color-scheme: dark)');
  const ofSystem = () => (dark.matches ? 'dark' : 'light');
  const page = document.documentElement;
  let chosen = kept();

  function kept() {
    try {
      return localStorage.getItem(KEPT);
    } catch {
      return null;
    }
  }

  function keep() {
    try {
      if (chosen) localStorage.setItem(KEPT, chosen);
      else localStorage.removeItem(KEPT);
    } catch {
      /* a browser that keeps nothing: the choice lasts as long as the page */
    }
  }

  function show() {
    page.dataset.bsTheme = chosen ?? ofSystem();
    const pressed = String(page.dataset.bsTheme === 'dark');
    document.querySelectorAll('[data-theme-switch]').forEach(button => button.setAttribute('aria-pressed', pressed));
  }

  document.addEventListener('click', event => {
    if (!(event.target instanceof Element) || !event.target.closest('[data-theme-switch]')) return;
    const wanted = page.dataset.bsTheme === 'dark' ? 'light' : 'dark';
    // what the system has anyway is followed again
    chosen = wanted === ofSystem() ? null : wanted;
    keep();
    show();
  });
  dark.addEventListener('change', show);
  // another window may have chosen
  addEventListener('storage', event => {
    if (event.key === KEPT) {
      chosen = event.newValue;
      show();
    }
  });
  document.addEventListener('DOMContentLoaded', show);
  document.addEventListener('htmx:afterSettle', show);
  show();
})();
