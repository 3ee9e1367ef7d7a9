// An address that is told once: shown, marked, copied.

/**
 * @param field holds the address
 * @param copy button
 * @param tell says what was done
 * @return shows a path of this server
 */
export function address(field, copy, tell) {
  copy.addEventListener('click', async () => {
    field.select();
    try {
      await navigator.clipboard.writeText(field.value);
      tell('Copied.');
    } catch {
      tell('It is marked: copy it with your keyboard.');
    }
  });
  return path => {
    field.parentElement.hidden = false;
    field.value = location.origin + path;
    field.select();
  };
}
