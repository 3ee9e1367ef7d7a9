// The map of voices: a dot for each, placed by pitch and pace. Arrow keys wander to the nearest dot that way, and it
// speaks.

const SVG = 'http://www.w3.org/2000/svg';
const WAYS = { ArrowRight: [1, 0], ArrowLeft: [-1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };

const place = dot => [Number(dot.getAttribute('cx')), Number(dot.getAttribute('cy'))];

/** The nearest dot in a direction: what lies beside the way counts double. */
function nearest(from, dots, [dx, dy]) {
  const [x, y] = place(from);
  let best = null;
  let least = Infinity;
  for (const dot of dots) {
    const [ox, oy] = place(dot);
    const along = (ox - x) * dx + (oy - y) * dy;
    const across = Math.abs((ox - x) * dy) + Math.abs((oy - y) * dx);
    if (dot !== from && along > 0.05 && along + 2 * across < least) {
      least = along + 2 * across;
      best = dot;
    }
  }
  return best;
}

/** @param hear called with a voice when its dot is reached or clicked */
export function wander(map, hear) {
  const dots = [...map.querySelectorAll('.dot:not(.dim)')];
  if (!dots.length) return;
  dots[0].setAttribute('tabindex', 0);
  dots.forEach(dot => {
    dot.addEventListener('click', () => reach(dot));
    dot.addEventListener('keydown', event => {
      if (event.key === 'Enter' || event.key === ' ') {
        event.preventDefault();
        event.stopPropagation();
        hear(dot.dataset.voice);
        return;
      }
      const next = WAYS[event.key] && nearest(dot, dots, WAYS[event.key]);
      if (!WAYS[event.key]) return;
      event.preventDefault();
      event.stopPropagation();
      if (next) reach(next);
    });
  });
  function reach(dot) {
    dots.forEach(other => other.setAttribute('tabindex', other === dot ? 0 : -1));
    dot.focus();
    hear(dot.dataset.voice);
  }
}

/** Names beside the dots that matter now, and letters on those that stand side by side. */
export function label(map, named, lettered) {
  const names = map.querySelector('#mapnames');
  const make = (name, attributes, text) => {
    const made = document.createElementNS(SVG, name);
    Object.entries(attributes).forEach(([key, value]) => made.setAttribute(key, value));
    if (text) made.textContent = text;
    return made;
  };
  names.replaceChildren();
  map.querySelectorAll('.dot').forEach(dot =>
    dot.classList.toggle(
      'now',
      named.some(n => n.voice === dot.dataset.voice && n.now),
    ),
  );
  for (const { voice, letter } of lettered) {
    const dot = map.querySelector(`.dot[data-voice="${voice}"]`);
    if (!dot) continue;
    const [x, y] = place(dot);
    names.append(
      make('circle', { class: 'lettered', cx: x, cy: y, r: 8 }),
      make('text', { class: 'letter', x, y: y + 3, 'text-anchor': 'middle' }, letter),
    );
  }
  for (const { voice, name } of named) {
    const dot = map.querySelector(`.dot[data-voice="${voice}"]`);
    if (!dot) continue;
    const [x, y] = place(dot);
    const right = x > 640;
    names.append(make('text', { x: right ? x - 12 : x + 12, y: y + 4, 'text-anchor': right ? 'end' : 'start' }, name));
  }
}
