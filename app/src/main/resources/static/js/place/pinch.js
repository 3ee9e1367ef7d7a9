// Two fingers on a box: how much further apart they are than a moment ago, and where their middle is.

/** @param act (factor, middle: pixels from the box's left) for each move */
export function onPinch(box, act) {
  const down = new Map();
  const apart = () => {
    const [a, b] = [...down.values()];
    return Math.max(1, Math.hypot(a.x - b.x, a.y - b.y));
  };
  let last = null;
  const put = event => down.set(event.pointerId, { x: event.clientX, y: event.clientY });
  const up = event => {
    down.delete(event.pointerId);
    last = null;
  };
  box.addEventListener('pointerdown', event => {
    if (event.pointerType !== 'touch') return;
    put(event);
    last = down.size === 2 ? apart() : null;
  });
  box.addEventListener('pointermove', event => {
    if (!down.has(event.pointerId)) return;
    put(event);
    if (down.size !== 2 || last === null) return;
    const now = apart();
    const [a, b] = [...down.values()];
    act(now / last, (a.x + b.x) / 2 - box.getBoundingClientRect().left);
    last = now;
  });
  box.addEventListener('pointerup', up);
  box.addEventListener('pointercancel', up);
  return { going: () => down.size > 1 };
}
