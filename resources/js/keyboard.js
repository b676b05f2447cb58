// What a keyboard does beyond the browser: Enter goes to the next empty cell, "/" to the line, Escape leaves a menu.

/** What opens over the page: it closes with Escape, and by a tap beside it. */
const MENUS = '.state details[open], .taken-where[open]';

const cellInputs = () =>
  [...document.querySelectorAll('.work .cell input[name="value"]:not([disabled])')]
    .filter((input) => input.offsetParent !== null);

function nextCell(input) {
  const inputs = cellInputs();
  const here = inputs.indexOf(input);
  const after = [...inputs.slice(here + 1), ...inputs.slice(0, here)];
  return after.find((one) => one.value === '') ?? inputs[here + 1] ?? null;
}

export function startKeyboard() {
  document.addEventListener('keydown', (event) => {
    const input = event.target.closest?.('.cell input[name="value"]');
    if (event.key === 'Enter' && input && !event.isComposing) {
      event.preventDefault();
      const next = nextCell(input);
      // A reading in doubt counts once it was taken twice: Enter on the same figure is that.
      const isSaidAgain = input.value !== '' && input.value === input.defaultValue;
      if ('doubted' in input.dataset && isSaidAgain) input.form.requestSubmit();
      next ? next.focus() : input.blur();
      next?.select();
      return;
    }
    if (event.key === 'Escape') {
      document.querySelectorAll(MENUS).forEach((menu) => {
        menu.open = false;
        menu.querySelector('summary').focus();
      });
      return;
    }
    // Tab takes the word that the quick line proposes.
    const proposed = event.target.id === 'line' && document.querySelector('[data-complete]');
    if (event.key === 'Tab' && !event.shiftKey && proposed) {
      event.preventDefault();
      event.target.value += `${proposed.dataset.complete} `;
      proposed.remove();
      return;
    }
    const typing = event.target.matches?.('input, textarea, select');
    if (event.key === '/' && !typing && !event.ctrlKey && !event.metaKey) {
      const line = document.querySelector('[data-slash]:not([disabled])');
      if (line) {
        event.preventDefault();
        line.focus();
      }
    }
  });

  document.addEventListener('click', (event) => {
    document.querySelectorAll(MENUS).forEach((menu) => {
      if (!menu.contains(event.target)) menu.open = false;
    });
  });
}
