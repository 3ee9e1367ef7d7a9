// Dials of pace, pitch and the rest: a number and its slider move together, and a dial that is turned while the answer
// to the one before is on its way is not taken back by it.

const dialsOf = root => [...(root?.querySelectorAll('.dial [name]') ?? [])];
const formOf = dial => `${dial.form.getAttribute('hx-post')} ${dial.form.elements.role?.value ?? ''}`;
const values = root => new Map(dialsOf(root).map(dial => [dial.id, dial.value]));

// what the dials said when something was asked for, by request
const asked = new WeakMap();
let turned = [];
let held = null;

document.addEventListener('htmx:beforeRequest', event => asked.set(event.detail.xhr, values(document)));

document.addEventListener('htmx:beforeSwap', event => {
  const before = asked.get(event.detail.xhr);
  if (!before || !event.detail.shouldSwap) return;
  // one stage may take another's place before its dials are tied: what was kept for that one is for this one
  if (document.activeElement?.matches('.dial [name]')) held = document.activeElement.id;
  turned.push(
    ...dialsOf(event.detail.target)
      .filter(dial => before.has(dial.id) && before.get(dial.id) !== dial.value)
      .map(dial => ({ id: dial.id, form: formOf(dial), value: dial.value })),
  );
});

const send = dial => dial.dispatchEvent(new Event('change', { bubbles: true }));

/** Turns the dials of a new stage to where they were turned meanwhile, and sends that. */
function turnAgain(root) {
  const [again, focused] = [turned, held];
  turned = [];
  held = null;
  if (focused && document.activeElement === document.body)
    dialsOf(root)
      .find(dial => dial.id === focused)
      ?.focus();
  for (const { id, form, value } of again) {
    const dial = dialsOf(root).find(one => one.id === id);
    if (!dial || formOf(dial) !== form || dial.value === value) continue;
    dial.value = value;
    dial.dispatchEvent(new Event('input', { bubbles: true }));
    if (id === focused && dial.type === 'number') {
      // it is being typed: it is sent when it is left, as if nothing had come between
      dial.addEventListener('blur', () => send(dial), { once: true });
    } else {
      send(dial);
    }
  }
}

/** To be called with each stage that came, when its dials can be seen. */
export function tieDials(root) {
  root.querySelectorAll('.dial:not(.plain)').forEach(dial => {
    const typed = dial.querySelector('input[type=number]');
    const range = dial.querySelector('input[type=range]');
    const follow = () => {
      range.value = typed.value === '' ? dial.dataset.neutral : typed.value;
    };
    follow();
    range.addEventListener('input', () => {
      typed.value = range.value;
    });
    typed.addEventListener('input', follow);
  });
  turnAgain(root);
}
